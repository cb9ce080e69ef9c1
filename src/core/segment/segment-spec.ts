import { z } from 'zod';
import { CLEAN_DEFAULTS, cleanSpecSchema } from '../mesh/clean/clean-spec';
import { makerSpecSchema } from './registry';

export const AXES = ['+x', '-x', '+y', '-y', '+z', '-z'] as const;
export type Axis = (typeof AXES)[number];

/** Where a segment comes from: a maker with its numbers, or a mesh that was brought. */
export const segmentSourceSchema = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('maker'), spec: makerSpecSchema }),
  z.strictObject({
    from: z.literal('asset'),
    /** Name of the mesh among the project's assets: SHA-256 of its bytes, hexadecimal. */
    asset: z.string().regex(/^[0-9a-f]{64}$/),
    fileName: z.string().max(400),
  }),
]);

/** An interval along the segment that keeps its shape; metres from the segment's start. */
const stiffZoneSchema = z.strictObject({ from: z.number().min(0), to: z.number().min(0) });

/** How a mesh is turned into a straight segment along +x. */
export const prepareSpecSchema = z.strictObject({
  /** The mesh's own direction that becomes forward; auto = its longest side, principal = the direction in which it is longest. */
  forward: z.enum(['auto', 'principal', ...AXES]),
  up: z.enum(['auto', ...AXES]),
  /** Turned round end for end, and about forward by quarters of a turn. */
  reversed: z.boolean().default(false),
  quarters: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)]).default(0),
  mirrored: z.boolean().default(false),
  /** Across the path: own = as modelled, middle = the box's middle on the path, foot = standing on it. */
  centre: z.enum(['own', 'middle', 'foot']),
  /** Moved from there, metres. */
  offsetUp: z.number().min(-1e4).max(1e4).default(0),
  offsetSide: z.number().min(-1e4).max(1e4).default(0),
  /** Metres per unit of the file. */
  unit: z.number().positive().max(1e6),
  /** One measure of the segment in metres, to which the whole is scaled; null = as the unit makes it. */
  size: z
    .strictObject({ of: z.enum(['length', 'height', 'width']), metres: z.number().positive().max(1e5) })
    .nullable()
    .default(null),
  clean: cleanSpecSchema.default(CLEAN_DEFAULTS),
  /** Flat faces at both ends: kept, dropped so that pieces join, or put over what is open. */
  ends: z.enum(['keep', 'open', 'close']).default('keep'),
  /** Corners of the end are moved onto those of the start within this many metres; 0 = left alone. */
  seams: z.number().min(0).max(100).default(0),
  stiff: z.array(stiffZoneSchema).max(64).readonly().default([]),
  /** Parts that do not count for clearance and tightness; absent = those of the maker. */
  loose: z.array(z.string().max(200)).max(64).readonly().optional(),
  /** Metres cut off as a head and a tail, laid once each; the body between them is what repeats. */
  head: z.number().min(0).default(0),
  tail: z.number().min(0).default(0),
});

export type PrepareSpec = z.infer<typeof prepareSpecSchema>;

export const PREPARE_DEFAULTS: PrepareSpec = {
  forward: 'auto',
  up: 'auto',
  reversed: false,
  quarters: 0,
  mirrored: false,
  centre: 'own',
  offsetUp: 0,
  offsetSide: 0,
  unit: 1,
  size: null,
  clean: CLEAN_DEFAULTS,
  ends: 'keep',
  seams: 0,
  stiff: [],
  head: 0,
  tail: 0,
};
