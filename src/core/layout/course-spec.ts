import { z } from 'zod';
import { fitSpecSchema } from './fit-registry';
import { layingSpecSchema } from './laying-spec';

/** One laid row of a run, without the segment that it names. */
export const courseJobSchema = z.strictObject({
  laying: layingSpecSchema,
  fit: fitSpecSchema.default({ kind: 'bent' }),
  /** What of a piece lies on the path, before side and height: as the segment has it, or an edge or the middle of its box; or on another course of the run, or under it. */
  align: z
    .strictObject({
      side: z.enum(['own', 'left', 'middle', 'right']),
      height: z.enum(['own', 'bottom', 'middle', 'top', 'surface', 'under']),
    })
    .default({ side: 'own', height: 'own' }),
  /** Left for right. */
  mirrored: z.boolean().default(false),
  /** Metres to one side of the path and above it, square to it. */
  side: z.number().min(-1e4).max(1e4).default(0),
  height: z.number().min(-1e4).max(1e4).default(0),
});

export type CourseJob = z.infer<typeof courseJobSchema>;
