import { playedOf, type TimeSpec } from './time-spec';

/** The moment that comes so many seconds after another while a project plays; undefined = it has come to its end. */
export function momentAfter(moment: number, gone: number, time: TimeSpec): number | undefined {
  const { from, to } = playedOf(time);
  const next = Math.max(moment, from) + gone;
  if (next < to) return next;
  return time.loops ? from + ((next - from) % (to - from)) : undefined;
}

/** The nearest moment at which there is a frame, so many frames on. */
export function frameBeside(moment: number, frames: number, { seconds, framesPerSecond }: TimeSpec): number {
  const at = Math.round(moment * framesPerSecond) + frames;
  return Math.min(Math.max(Number((at / framesPerSecond).toFixed(9)), 0), seconds);
}
