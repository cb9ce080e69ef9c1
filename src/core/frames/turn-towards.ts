import { nearestTurn } from '../math/nearest-turn';
import type { Vec3 } from '../math/vec3';
import { blendAngles, cellsOf } from './blend-angles';
import { angleFromUp, turnUp } from './double-reflection';
import type { FrameRuleInput } from './frame-rule';
import { FORWARD, FRAME_STRIDE } from './frame-table';

export interface TurnTowards {
  /** The direction that up is to look in at sample `at` (its place in `frames`), no longer than 1: the shorter, the less it counts. */
  readonly wanted: (at: number) => Vec3 | undefined;
  /** Shares of the path within which the frame turns, and half a turn at the least. */
  readonly blendShare: number;
  readonly halfTurnShare: number;
}

/** Directions that run more along the path than this say nothing of up. */
const LEAST_WEIGHT = 1e-3;

/** Turns least twist frames towards wanted directions, as far as these lie across the path; unwrapped, blended where they jump or are missing. */
export function turnTowards(
  frames: Float64Array,
  { stations, closed }: Pick<FrameRuleInput, 'stations' | 'closed'>,
  { wanted, blendShare, halfTurnShare }: TurnTowards,
): void {
  const end = stations.length - 1;
  const length = stations[end];
  const angles = new Float64Array(end + 1);
  const weights = cellsOf(stations);
  let last: number | undefined;
  for (let i = 0; i <= end; i++) {
    const at = i * FRAME_STRIDE;
    const way = wanted(at);
    const along =
      way && way[0] * frames[at + FORWARD] + way[1] * frames[at + FORWARD + 1] + way[2] * frames[at + FORWARD + 2];
    // How much of it lies across the path, squared twice: what runs along, or is short, says little.
    const across = way && along !== undefined ? way[0] ** 2 + way[1] ** 2 + way[2] ** 2 - along * along : 0;
    const weight = Math.max(across, 0) ** 2;
    weights[i] *= weight > LEAST_WEIGHT ? weight : 0;
    if (way && weight > LEAST_WEIGHT) {
      const angle = angleFromUp(frames, i, ...way);
      last = nearestTurn(angle, last ?? angle);
    }
    angles[i] = last ?? 0;
  }
  const first = weights.findIndex((weight) => weight > 0);
  if (first > 0) angles.fill(angles[first], 0, first);
  const total = closed ? nearestTurn(0, angles[end] - angles[0]) : 0;
  const rest = angles.map((angle, i) => angle - (total * stations[i]) / length);
  const given = { angles: rest, weights, stations };
  const turns = blendAngles(given, blendShare * length, halfTurnShare * length, closed);
  for (let i = 0; i <= end; i++) turnUp(frames, i, turns[i] + (total * stations[i]) / length);
}
