import { z } from 'zod';
import { fitSpecSchema } from './fit-registry';
import { layingSpecSchema } from './registry';

/** One laid row of a run, without the segment that it names. */
export const courseJobSchema = z.strictObject({
  laying: layingSpecSchema,
  fit: fitSpecSchema.default({ kind: 'bent' }),
  /** Metres to one side of the path and above it, square to it. */
  side: z.number().min(-1e4).max(1e4).default(0),
  height: z.number().min(-1e4).max(1e4).default(0),
});

export type CourseJob = z.infer<typeof courseJobSchema>;
