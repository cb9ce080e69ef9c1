import type { Reach } from '../shape/reach';
import { eased } from './easing-registry';
import type { GrowthPose } from './growth';
import { growthOf } from './growth-registry';
import { growthSeconds, originOf, type MotionSpec } from './motion-spec';

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

/** The finished run. */
export const WHOLE: MotionPose = { about: 0, scale: 1, shift: 0 };

/** Whether a pose is that of the finished run. */
export const isWhole = ({ scale, shift, window, spans, arrival }: MotionPose): boolean =>
  scale === 1 && shift === 0 && !window && !spans && !arrival;

/** What is there of a run so many seconds after it began, which may be before; undefined = nothing yet. */
export function motionPoseAt(motion: MotionSpec, time: number, { reach, round }: Moved): MotionPose | undefined {
  const { growth, easing, speed } = motion;
  const origin = originOf(motion, reach);
  const shift = speed * Math.max(time, 0);
  const travels = { about: origin, scale: 1, shift, ...(speed !== 0 && !round && { window: reach }) };
  const seconds = growthSeconds(motion);
  if (seconds === 0) return travels;
  const gone = time / seconds;
  if (gone >= 1) return travels;
  const share = gone > 0 ? eased(easing, gone) : 0;
  if (share <= 0) return undefined;
  return share >= 1 ? travels : { ...travels, ...growthOf(growth).poseAt(growth, share, { reach, origin }) };
}
