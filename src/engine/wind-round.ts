import type { PathPoint } from '../core/curve/path-spec';
import { turned } from '../core/guides/guide-spec';
import { wrapRound, type Winding } from '../core/guides/wrap-round';
import type { Result } from '../core/math/result';
import { dot, sub, type Vec3 } from '../core/math/vec3';
import { boxMiddle, boxSize } from '../core/mesh/box';
import type { Guide } from '../project/schema';
import type { ReadyGuide } from './guide-keeper';

export type AskedWinding = Omit<Winding, 'foot' | 'axis'>;

/** Winds about a guide's own y axis through its middle; heights count from its lowest place along that. */
export function windRound(
  { mesh, surface }: ReadyGuide,
  { turn }: Guide,
  asked: AskedWinding,
): Result<readonly PathPoint[]> {
  const axis = turned([0, 1, 0], turn);
  const middle = boxMiddle(mesh.box);
  let least = 0;
  for (let i = 0; i < mesh.positions.length; i += 3) {
    const place: Vec3 = [mesh.positions[i], mesh.positions[i + 1], mesh.positions[i + 2]];
    least = Math.min(least, dot(sub(place, middle), axis));
  }
  const foot: Vec3 = [middle[0] + axis[0] * least, middle[1] + axis[1] * least, middle[2] + axis[2] * least];
  return wrapRound(surface, { ...asked, foot, axis }, Math.hypot(...boxSize(mesh.box)));
}
