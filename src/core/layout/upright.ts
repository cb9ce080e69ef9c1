import { CURVATURE, FORWARD, TWIST, UP } from '../frames/frame-table';
import { GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP, SLOPE } from '../shape/frame-on';

/** Below this cosine of the slope a path counts as going straight up: what stands upright on it has no direction of its own. */
const LEAST_LEVEL = 1e-4;

/**
 * Turns a frame of a shape into one that stands upright: forward as it is seen from above, up plumb, side to the right of forward. What a frame says
 * per metre of path it then says per metre seen from above, the slope of the path counting as a rise: a vertex moves from row to row by
 * forward + slope up, unless it does not climb with it. Plan curvature = (k . side) / cos^2 of the slope (elementary).
 * @returns the cosine of the slope.
 */
export function standUpright(frame: Float64Array, climbs = true): number {
  const rise = frame[FORWARD + 1];
  let x = frame[FORWARD];
  let z = frame[FORWARD + 2];
  let level = Math.hypot(x, z);
  if (level < LEAST_LEVEL) {
    // Straight up: as the frame's own up points away from it, or towards it on the way down.
    const way = rise > 0 ? -1 : 1;
    x = way * frame[UP];
    z = way * frame[UP + 2];
    level = LEAST_LEVEL;
  }
  const size = Math.hypot(x, z) || 1;
  [x, z] = [x / size, z / size];
  const bend = frame[CURVATURE] * -z + frame[CURVATURE + 2] * x;
  frame.set([x, 0, z, 0, 1, 0, -z, 0, x], FORWARD);
  const plan = bend / (level * level);
  frame.set([-z * plan, 0, x * plan, 0], CURVATURE);
  frame[TWIST] = 0;
  for (const k of [GAUGE_UP, GAUGE_SIDE, OFFSET_SIDE, OFFSET_UP]) frame[k + SLOPE] /= level;
  if (climbs) frame[OFFSET_UP + SLOPE] += rise / level;
  return level;
}
