import { z } from 'zod';
import { slicingSpecSchema } from '../segment/slicing-spec';

/** What becomes of that which lies beyond the reach: it goes on along the path and straight on behind that, or wraps round a closed one; is cut off; is held at the end. */
const PAST_THE_END = ['straightOn', 'trim', 'hold'] as const;

/** How a run's geometry is made. */
export const bendingSpecSchema = z.strictObject({
  pastEnd: z.enum(PAST_THE_END),
  slicing: slicingSpecSchema,
  /** Greatest distance between the bent surface and its rows' chords, metres; null = a thousandth of the half width. */
  tolerance: z.number().min(1e-6).max(10).nullable(),
});

export type BendingSpec = z.infer<typeof bendingSpecSchema>;

/** Metres: the tolerance in use for a segment of the given half width, at the run's own gauge. */
export const bendTolerance = (tolerance: number | null, halfWidth: number, gauge: number): number =>
  tolerance ?? Math.max(halfWidth * gauge * 1e-3, 1e-6);
