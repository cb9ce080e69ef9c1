import { playedOf, type TimeSpec } from './time-spec';

/** Frames by number, the first of a project's time being 1. */
export interface FrameRange {
  readonly first: number;
  readonly last: number;
  readonly framesPerSecond: number;
}

/** More frames in one sequence are refused. */
export const LONGEST_SEQUENCE = 20_000;

export const frameCount = ({ first, last }: FrameRange): number => last - first + 1;

/** Seconds at which a frame is. */
export const frameTime = ({ framesPerSecond }: Pick<FrameRange, 'framesPerSecond'>, frame: number): number =>
  (frame - 1) / framesPerSecond;

/** Frames of what a project plays; of one that loops without the last, which would be the first again. */
export function rangeOf(time: TimeSpec): FrameRange {
  const { framesPerSecond, loops } = time;
  const { from, to } = playedOf(time);
  const first = Math.round(from * framesPerSecond) + 1;
  const last = Math.round(to * framesPerSecond) + (loops ? 0 : 1);
  return { first, last: Math.max(last, first), framesPerSecond };
}

/** A frame's name: sorted by name they are in their order. */
export const frameName = (name: string, frame: number, { last }: Pick<FrameRange, 'last'>): string =>
  `${name}_${String(frame).padStart(Math.max(4, String(last).length), '0')}`;
