import { z } from 'zod';
import { frameSpecSchema } from '../frames/registry';
import { MAX_SLICES } from '../segment/plan-slices';

/** How rows for bending are found. */
export const slicingSpecSchema = z.discriminatedUnion('by', [
  /** As many as the path asks for. */
  z.strictObject({ by: z.literal('auto') }),
  /** A number of equal rows in every piece. */
  z.strictObject({ by: z.literal('rows'), rows: z.number().int().min(1).max(MAX_SLICES) }),
  /** Rows of at most so many metres along the segment. */
  z.strictObject({ by: z.literal('spacing'), spacing: z.number().min(1e-4).max(1000) }),
  /** Cuts at chosen x, metres along the segment. */
  z.strictObject({ by: z.literal('at'), at: z.array(z.number().min(0).max(1e5)).max(MAX_SLICES).readonly() }),
  /** The rows that the segment has. */
  z.strictObject({ by: z.literal('off') }),
]);

/** Ways of slicing as they begin when they are chosen. */
export const SLICING_STARTS = {
  auto: { by: 'auto' },
  rows: { by: 'rows', rows: 16 },
  spacing: { by: 'spacing', spacing: 0.25 },
  at: { by: 'at', at: [] },
  off: { by: 'off' },
} as const;

export const PAST_THE_END = ['straightOn', 'trim'] as const;

export const bendingSpecSchema = z.strictObject({
  frames: frameSpecSchema,
  /** Roll about the path at the start of the reach, radians. */
  roll: z.number().min(-1e4).max(1e4),
  /** Whole or broken turns about the path over the reach. */
  turns: z.number().min(-1e4).max(1e4),
  /** Thickness factor across the path. */
  gauge: z.number().min(1e-4).max(1e4),
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
