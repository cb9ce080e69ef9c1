import { z } from 'zod';
import { frameSpecSchema } from '../frames/registry';
import { slicingSpecSchema } from '../segment/slicing-spec';

export const PAST_THE_END = ['straightOn', 'trim'] as const;

export const bendingSpecSchema = z.strictObject({
  frames: frameSpecSchema,
  /** Roll about the path at the start of the reach, radians. */
  roll: z.number().min(-1e4).max(1e4),
  /** Whole or broken turns about the path over the reach. */
  turns: z.number().min(-1e4).max(1e4),
  /** Thickness factor across the path. */
  gauge: z.number().min(1e-4).max(1e4),
  /** Metres that the whole run lies above its path, plumb whatever its frames do; absent = none. */
  lift: z.number().min(-1e4).max(1e4).optional(),
  pastEnd: z.enum(PAST_THE_END),
  slicing: slicingSpecSchema,
  /** Greatest distance between the bent surface and its rows' chords, metres; null = a thousandth of the half width. */
  tolerance: z.number().min(1e-6).max(10).nullable(),
});

export type BendingSpec = z.infer<typeof bendingSpecSchema>;

/** Metres: the tolerance in use for a segment of the given half width. */
export const bendTolerance = (
  { tolerance, gauge }: Pick<BendingSpec, 'tolerance' | 'gauge'>,
  halfWidth: number,
): number => tolerance ?? Math.max(halfWidth * gauge * 1e-3, 1e-6);
