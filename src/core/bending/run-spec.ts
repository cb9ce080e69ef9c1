import { z } from 'zod';
import { layingSpecSchema } from '../laying/registry';
import { motionSpecSchema } from '../motion/growth';
import { bendingSpecSchema } from './bending-spec';

/** The job of a run, without the segment and path that it names. */
export const runJobSchema = z.strictObject({
  laying: layingSpecSchema,
  bending: bendingSpecSchema,
  motion: motionSpecSchema,
});

export type RunJob = z.infer<typeof runJobSchema>;
