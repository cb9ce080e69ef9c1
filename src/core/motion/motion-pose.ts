import type { Reach } from '../shape/reach';
import { eased } from './easing-registry';
import type { GrowthPose } from './growth';
import { growthOf } from './growth-registry';
import { growthSeconds, originOf, slidAt, travels, type MotionSpec } from './motion-spec';

/** What a motion moves: metres. */
export interface Moved {
  readonly reach: Reach;
  /** The last piece meets the first, all round a closed path. */
  readonly round: boolean;
}

/** What of a run is there at a time: what lay at station s lies at about + scale (s - about) + shift. */
export interface MotionPose extends Omit<GrowthPose, 'scale'> {
  readonly about: number;
  readonly scale: number;
  readonly shift: number;
  /** Pieces come again after a period, and no more of them shows than lies in here; absent = all of them, wherever they lie. */
  readonly window?: Reach;
}

/** Whether a pose is that of the finished run. */
export const isWhole = ({ scale, shift, window, spans, arrival }: MotionPose): boolean =>
  scale === 1 && shift === 0 && !window && !spans && !arrival;

/** What is there of a run so many seconds after it began, which may be before, or null = when all is over; undefined = nothing yet. */
export function motionPoseAt(motion: MotionSpec, time: number | null, { reach, round }: Moved): MotionPose | undefined {
  const { growth, easing } = motion;
  const origin = originOf(motion, reach);
  const shift = slidAt(motion, time);
  const isSliding = time === null ? shift !== 0 : travels(motion);
  const slid = { about: origin, scale: 1, shift, ...(isSliding && !round && { window: reach }) };
  const seconds = growthSeconds(motion);
  if (seconds === 0 || time === null) return slid;
  const gone = time / seconds;
  if (gone >= 1) return slid;
  const share = gone >= 0 ? eased(easing, gone) : 0; // one that jumps at once has done so
  if (share <= 0) return undefined;
  const kind = growthOf(growth);
  const isWholeThere = share === 1 || (share > 1 && !kind.goesBeyond?.(growth));
  return isWholeThere ? slid : { ...slid, ...kind.poseAt(growth, share, { reach, origin }) };
}
