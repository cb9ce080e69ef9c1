import { z } from 'zod';
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

/** How a mesh is turned into a straight segment along +x. */
export const prepareSpecSchema = z.strictObject({
  /** The mesh's own direction that becomes forward; auto = its longest side. */
  forward: z.enum(['auto', ...AXES]),
  up: z.enum(['auto', ...AXES]),
  /** Across the path: own = as modelled, middle = the box's middle on the path, foot = standing on it. */
  centre: z.enum(['own', 'middle', 'foot']),
  /** Metres per unit of the file. */
  unit: z.number().positive().max(1e6),
});

export type SegmentSource = z.infer<typeof segmentSourceSchema>;
export type PrepareSpec = z.infer<typeof prepareSpecSchema>;

export const PREPARE_DEFAULTS: PrepareSpec = { forward: 'auto', up: 'auto', centre: 'own', unit: 1 };
