import { ON_PLANE_RELATIVE } from '../math/tolerance';
import { boxOf } from '../mesh/box';
import { withTriangles } from '../mesh/clean/with-triangles';
import { isClosed } from '../mesh/is-closed';
import type { Mesh } from '../mesh/mesh';
import { usedVertices } from '../mesh/used-vertices';
import { closeAt } from './close-at';
import { endsMatch } from './open-ends';
import type { PreparedSegment } from './prepared-segment';
import { findRows } from './rows';
import { sliceSegment } from './slice';

/**
 * The part of a segment between x = `from` and x = `to` metres, by true cuts, where it lies: x goes on counting from the segment's start, and it is
 * as long as before. Cuts are closed with flat faces when the segment is watertight; they wear the material of the edge they start from.
 */
export function cutWhereItLies(segment: PreparedSegment, from: number, to: number): PreparedSegment {
  const near = segment.length * ON_PLANE_RELATIVE * 2;
  const planes = [from, to].filter((x) => x > near && x < segment.length - near);
  if (planes.length === 0) return segment;
  const sliced = sliceSegment(segment, Float64Array.from(planes));
  const { positions, indices } = sliced.mesh;
  const x = (i: number) => positions[indices[i] * 3];
  // The segment's own ends stay: only what lies beyond a cut goes.
  const [first, last] = [from > near ? from + near : -Infinity, to < segment.length - near ? to - near : Infinity];
  let mesh: Mesh = withTriangles(sliced.mesh, (i) => {
    const [low, high] = [Math.min(x(i), x(i + 1), x(i + 2)), Math.max(x(i), x(i + 1), x(i + 2))];
    return low < last && high > first;
  });
  if (isClosed(segment.mesh)) {
    if (from > near) mesh = closeAt(mesh, from, near, -1);
    if (to < segment.length - near) mesh = closeAt(mesh, to, near, 1);
  }
  const sorted = usedVertices(mesh);
  const rows = findRows(sorted.positions, segment.length);
  const stiff = segment.stiff
    .map((zone) => ({ from: Math.max(zone.from, from), to: Math.min(zone.to, to) }))
    .filter((zone) => zone.to > zone.from);
  return {
    ...segment,
    mesh: sorted,
    box: boxOf(sorted.positions),
    rows,
    endsMatch: endsMatch({ mesh: sorted, rows }),
    stiff,
  };
}

/** The same part, moved to start at 0; its natural length becomes `to` - `from`. */
export function cutBetween(segment: PreparedSegment, from: number, to: number): PreparedSegment {
  const cut = cutWhereItLies(segment, from, to);
  if (cut === segment) return segment;
  const start = Math.max(from, 0);
  const length = Math.min(to, segment.length) - start;
  if (start === 0) return { ...cut, length };
  const positions = cut.mesh.positions.map((v, i) => (i % 3 === 0 ? v - start : v));
  const stiff = cut.stiff.map((zone) => ({ from: zone.from - start, to: zone.to - start }));
  return { ...cut, mesh: { ...cut.mesh, positions }, length, box: boxOf(positions), stiff };
}

/** The part of a segment before x = `at` metres, by a true cut. */
export const cutOff = (segment: PreparedSegment, at: number): PreparedSegment => cutBetween(segment, 0, at);
