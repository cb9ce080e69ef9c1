import { z } from 'zod';

/** What is done to a brought mesh before it is turned into a segment, in this order. */
export const cleanSpecSchema = z.strictObject({
  /** Vertices within this many metres become one; null = left alone. */
  weld: z.number().min(0).max(10).nullable(),
  /** Loose parts with less than this share of the largest one's area are dropped. */
  specks: z.number().min(0).max(1),
  insideOut: z.boolean(),
  /** Share of the triangles that stay. */
  thin: z.number().min(0.001).max(1),
  subdivide: z.union([z.literal(0), z.literal(1), z.literal(2)]),
  /** Faces that meet at less than this angle share their normals, radians; null = normals as they are in the file. */
  crease: z.number().min(0).max(Math.PI).nullable(),
});

export type CleanSpec = z.infer<typeof cleanSpecSchema>;

export const CLEAN_DEFAULTS: CleanSpec = {
  weld: null,
  specks: 0,
  insideOut: false,
  thin: 1,
  subdivide: 0,
  crease: null,
};
