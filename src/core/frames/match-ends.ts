import { nearestTurn } from '../math/nearest-turn';
import { anyNormal, type Vec3 } from '../math/vec3';
import { angleFromUp, turnUp } from './double-reflection';
import { FORWARD, FRAME_STRIDE } from './frame-table';

/** Rolls that a run has at the ends of its path, from upright, radians. */
export interface EndRolls {
  readonly start: number;
  readonly end: number;
}

/**
 * Turns the frames of an open path so that both ends stand as asked; what lies between is spread evenly over the length, the shorter way
 * round. Returns radians per metre.
 */
export function matchEnds(frames: Float64Array, stations: Float64Array, up: Vec3, rolls: EndRolls): number {
  const last = stations.length - 1;
  const start = toUpright(frames, 0, up) + rolls.start;
  const perMetre = wrap(toUpright(frames, last, up) + rolls.end - start) / stations[last];
  for (let i = 0; i <= last; i++) turnUp(frames, i, start + perMetre * stations[i]);
  return perMetre;
}

const wrap = (angle: number): number => nearestTurn(angle, 0);

/** From the frame's up to the up direction, about forward; where forward runs along that, to some direction across it. */
function toUpright(frames: Float64Array, i: number, up: Vec3): number {
  const at = i * FRAME_STRIDE + FORWARD;
  const forward: Vec3 = [frames[at], frames[at + 1], frames[at + 2]];
  const l = Math.hypot(...up);
  const along = (up[0] * forward[0] + up[1] * forward[1] + up[2] * forward[2]) / l;
  const to = Math.abs(along) > 0.9999 ? anyNormal(forward) : up;
  const across = to[0] * forward[0] + to[1] * forward[1] + to[2] * forward[2];
  return angleFromUp(frames, i, to[0] - across * forward[0], to[1] - across * forward[1], to[2] - across * forward[2]);
}
