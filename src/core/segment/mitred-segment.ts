import { boxOf } from '../mesh/box';
import { sortedAlongX } from '../mesh/reorder';
import { cutBetween } from './cut-off';
import type { FormStore } from './pieces/form-store';
import type { PreparedSegment } from './prepared-segment';
import { findRows } from './rows';

/** A plane across a segment that leans: x = at + up y + side z, metres. */
export interface Lean {
  readonly at: number;
  readonly up: number;
  readonly side: number;
}

/**
 * A segment whose ends are cut to lean as planes do, by true cuts; it is made longer first where the planes reach beyond it, and keeps its natural
 * length in the middle. Kept in `forms`.
 */
export function mitredSegment(
  segment: PreparedSegment,
  { start, end }: { readonly start?: Lean | undefined; readonly end?: Lean | undefined },
  forms: FormStore,
): PreparedSegment {
  if (!start && !end) return segment;
  const key = [start, end]
    .map((lean) => (lean ? [lean.at, lean.up, lean.side].map((v) => v.toFixed(9)).join(' ') : ''))
    .join();
  return forms.get(segment, `mitred ${key}`, () => {
    const { length, box } = segment;
    const reach = ({ up, side }: Lean, way: 1 | -1) =>
      Math.max(
        0,
        ...[box.min[1], box.max[1]].flatMap((y) => [box.min[2], box.max[2]].map((z) => way * (up * y + side * z))),
      );
    const [before, after] = [start ? reach(start, -1) : 0, end ? reach(end, 1) : 0];
    const spare = length * 0.01;
    const from = start ? Math.min(start.at - before, 0) - spare : 0;
    const to = end ? Math.max(end.at + after, length) + spare : length;
    const longer = segment.mesh.positions.map((v, i) => (i % 3 === 0 ? from + (v / length) * (to - from) : v));
    let made: PreparedSegment = { ...segment, mesh: { ...segment.mesh, positions: longer } };
    if (start) made = cutLeaning(made, start, 'after');
    if (end) made = cutLeaning(made, end, 'before');
    const mesh = sortedAlongX(made.mesh);
    return {
      ...segment,
      mesh,
      box: boxOf(mesh.positions),
      rows: findRows(mesh.positions, length),
      endsMatch: false,
      stiff: [],
    };
  });
}

/** What lies before or after the plane x = at + up y + side z: the plane is made upright by a shear, cut along, and sheared back. */
function cutLeaning(segment: PreparedSegment, { at, up, side }: Lean, keep: 'before' | 'after'): PreparedSegment {
  const { mesh } = segment;
  const sheared = mesh.positions.slice();
  let low = Infinity;
  let high = -Infinity;
  for (let i = 0; i < sheared.length; i += 3) {
    sheared[i] -= up * sheared[i + 1] + side * sheared[i + 2];
    low = Math.min(low, sheared[i]);
    high = Math.max(high, sheared[i]);
  }
  for (let i = 0; i < sheared.length; i += 3) sheared[i] -= low;
  const length = high - low;
  const sorted = sortedAlongX({ ...mesh, positions: sheared });
  const upright = { ...segment, mesh: sorted, length, rows: findRows(sorted.positions, length), stiff: [] };
  const plane = at - low;
  const cut = keep === 'before' ? cutBetween(upright, 0, plane) : cutBetween(upright, plane, length);
  const moved = low + (keep === 'after' ? Math.max(plane, 0) : 0);
  const { positions, normals } = cut.mesh;
  const back = positions.slice();
  const turned = normals.slice();
  const size = Math.hypot(1, up, side);
  for (let i = 0; i < back.length; i += 3) {
    const x = back[i] + moved;
    // The faces that close the cut look along the plane's own normal.
    if (Math.abs(x - at) < length * 1e-5 && normals[i + 1] === 0 && normals[i + 2] === 0) {
      const way = Math.sign(normals[i]);
      turned.set([way / size, (-way * up) / size, (-way * side) / size], i);
    }
    back[i] = x + up * back[i + 1] + side * back[i + 2];
  }
  return { ...cut, mesh: { ...cut.mesh, positions: back, normals: turned } };
}
