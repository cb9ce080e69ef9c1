import { z } from 'zod';

/** Slices along one piece at the most. */
export const MAX_SLICES = 4096;

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

export type SlicingSpec = z.infer<typeof slicingSpecSchema>;

/** Ways of slicing as they begin when they are chosen. */
export const SLICING_STARTS = {
  auto: { by: 'auto' },
  rows: { by: 'rows', rows: 16 },
  spacing: { by: 'spacing', spacing: 0.25 },
  at: { by: 'at', at: [] },
  off: { by: 'off' },
} as const;
