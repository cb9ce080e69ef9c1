import { z } from 'zod';
import { MAX_PIECES } from './most-pieces';
import { MOST_BODIES } from './pattern';
import { patternSpecSchema } from './pattern-registry';
import { ruleSpecSchema } from './registry';
import { NO_VARIATION, variationSchema } from './variation';

const metres = z.number().min(0).max(1e6);
const offset = z.number().min(-1e4).max(1e4);

/** Metres of the reach that stay free before the first and behind the last piece, behind a head and before a tail; negative = beyond. */
const marginsSchema = z.strictObject({ first: offset, last: offset, head: offset, tail: offset });

/** Every so many pieces one that is turned about the path, radians, or mirrored; 0 = none. */
const everyOtherSchema = z.strictObject({
  every: z.number().int().min(0).max(1000),
  turn: z.number().min(-1e4).max(1e4),
  mirrored: z.boolean(),
});

/** Where a course is parted, so that each part is laid for itself. */
const jointsSchema = z.strictObject({
  at: z.enum(['none', 'corners', 'points']),
  /** Corners that turn by more than so many radians count. */
  angle: z.number().min(0).max(Math.PI),
  /** Metres that stay free on either side, beside a piece that stands there. */
  clear: metres,
});

/** What is said of one piece beside all others. */
const pieceEditSchema = z.strictObject({
  piece: z.number().int().min(0).max(MAX_PIECES),
  hidden: z.literal(true).optional(),
  /** The segment that it is of instead. */
  body: z
    .number()
    .int()
    .min(0)
    .max(MOST_BODIES - 1)
    .optional(),
  /** Metres along, above and beside where it would lie, and radians about the path. */
  along: offset.optional(),
  up: offset.optional(),
  side: offset.optional(),
  turn: z.number().min(-1e4).max(1e4).optional(),
});

/** How a new course is laid beside its rule. */
export const LAYING_DEFAULTS = {
  margins: { first: 0, last: 0, head: 0, tail: 0 },
  pattern: { kind: 'same' },
  everyOther: { every: 0, turn: 0, mirrored: false },
  joints: { at: 'none', angle: Math.PI / 6, clear: 0 },
  pieces: [],
  variation: NO_VARIATION,
} as const;

export const layingSpecSchema = z.strictObject({
  rule: ruleSpecSchema,
  margins: marginsSchema.default(LAYING_DEFAULTS.margins),
  pattern: patternSpecSchema.default(LAYING_DEFAULTS.pattern),
  everyOther: everyOtherSchema.default(LAYING_DEFAULTS.everyOther),
  joints: jointsSchema.default(LAYING_DEFAULTS.joints),
  pieces: z.array(pieceEditSchema).max(2000).readonly().default([]),
  variation: variationSchema.default(NO_VARIATION),
});

export type LayingSpec = z.infer<typeof layingSpecSchema>;
export type PieceEdit = z.infer<typeof pieceEditSchema>;
