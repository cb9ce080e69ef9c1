import type { PathPoint } from '../curve/path-spec';
import { fail, ok, type Result } from '../math/result';
import { add, anyNormal, cross, rotate, scale, type Vec3 } from '../math/vec3';
import type { Surface } from '../mesh/surface';

/** How a path winds about a guide. Metres, radians. */
export interface Winding {
  /** The foot of the axis and its unit direction. */
  readonly foot: Vec3;
  readonly axis: Vec3;
  /** Where along the axis it begins, and how far it rises. */
  readonly from: number;
  readonly rise: number;
  /** Negative = the other way round. */
  readonly turns: number;
  readonly startAngle: number;
  readonly clearance: number;
}

/** Points that a full turn gets: a smooth path through them keeps within a two-thousandth of the radius of a round guide. */
const PER_TURN = 12;

/**
 * Evenly spaced points that wind about a guide: rays towards the axis find its surface, and the points keep `clearance` from it. The start
 * angle is told from the scene's x axis (z axis for a guide along x). Problems: `guide.missed` with `height`, `winding.none`.
 */
export function wrapRound(surface: Surface, winding: Winding, far: number): Result<readonly PathPoint[]> {
  const { foot, axis, from, rise, turns, startAngle, clearance } = winding;
  const count = Math.ceil(Math.abs(turns) * PER_TURN);
  if (count < 1) return fail('winding.none');
  const along = cross(anyNormal(axis), axis);
  const zero = Math.abs(axis[1]) > 0.999 ? ([1, 0, 0] as Vec3) : along;
  const points: PathPoint[] = [];
  for (let i = 0; i <= count; i++) {
    const height = from + (rise * i) / count;
    const out = rotate(zero, axis, startAngle + (2 * Math.PI * turns * i) / count);
    const centre = add(foot, scale(axis, height));
    const hit = surface.hit(add(centre, scale(out, far)), scale(out, -1));
    if (!hit || hit.distance > far) return fail('guide.missed', { height });
    points.push({ position: add(centre, scale(out, far - hit.distance + clearance)) });
  }
  return ok(points);
}
