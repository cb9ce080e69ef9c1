import { boxOf } from '../mesh/box';
import { turnInsideOut } from '../mesh/clean/turn-inside-out';
import type { FormStore } from './pieces/form-store';
import type { PreparedSegment } from './prepared-segment';

/** A segment turned about the path by an angle, radians, or left for right first; kept in `forms`. */
export function turnedSegment(
  segment: PreparedSegment,
  turn: number,
  mirrored: boolean,
  forms: FormStore,
): PreparedSegment {
  if (turn === 0 && !mirrored) return segment;
  return forms.get(segment, `turned ${turn} ${mirrored}`, () => {
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const way = mirrored ? -1 : 1;
    // Up goes towards side: right-handed about forward.
    const turnedBy = (values: Float32Array) => {
      const out = values.slice();
      for (let i = 0; i < out.length; i += 3) {
        const [y, z] = [values[i + 1], way * values[i + 2]];
        out[i + 1] = y * c - z * s;
        out[i + 2] = y * s + z * c;
      }
      return out;
    };
    const { mesh } = segment;
    const normals = turnedBy(mesh.normals);
    const turned = { ...mesh, positions: turnedBy(mesh.positions), normals };
    const outside = mirrored ? { ...turnInsideOut(turned), normals } : turned;
    return { ...segment, mesh: outside, box: boxOf(outside.positions) };
  });
}
