import { z } from 'zod';

/** Seconds of a project's time, at the most. */
export const MOST_SECONDS = 3600;
const moment = z.number().min(0).max(MOST_SECONDS);

/** The time in which a project moves. */
export const timeSpecSchema = z.strictObject({
  seconds: z.number().min(0.04).max(MOST_SECONDS),
  framesPerSecond: z.number().min(1).max(240),
  /** Played from the start again when it has come to its end. */
  loops: z.boolean(),
  /** What of it is played, seconds; null = all. */
  played: z.strictObject({ from: moment, to: moment }).nullable(),
  markers: z
    .array(z.strictObject({ at: moment, name: z.string().min(1).max(80) }))
    .max(200)
    .readonly(),
});

export type TimeSpec = z.infer<typeof timeSpecSchema>;

export const TIME_DEFAULTS: TimeSpec = { seconds: 4, framesPerSecond: 24, loops: false, played: null, markers: [] };

/** From when to when is played, seconds: all of the time where nothing is said, or nothing of what is said lies in it. */
export function playedOf({ seconds, played }: TimeSpec): { readonly from: number; readonly to: number } {
  if (!played) return { from: 0, to: seconds };
  const [from, to] = [Math.min(played.from, seconds), Math.min(played.to, seconds)];
  return to > from ? { from, to } : { from: 0, to: seconds };
}
