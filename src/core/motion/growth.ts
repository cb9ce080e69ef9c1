import { z } from 'zod';

export const motionSpecSchema = z.strictObject({
  growth: z.enum(['none', 'stretchOut']),
  /** Seconds from nothing to the whole reach. */
  seconds: z.number().min(0.04).max(3600),
});

export type MotionSpec = z.infer<typeof motionSpecSchema>;

/** Share of the reach that is grown at `time` seconds, 0 to 1; null = the finished run. Steady pace. */
export function grownShare({ growth, seconds }: MotionSpec, time: number | null): number {
  if (growth === 'none' || time === null) return 1;
  return Math.min(Math.max(time / seconds, 0), 1);
}
