import { z } from 'zod';
import { bendingSpecSchema } from '../layout/bending-spec';
import { type CourseJob } from '../layout/course-spec';
import { reachSpecSchema } from '../shape/reach';
import { shapeSpecSchema } from '../shape/shape-spec';
import { motionSpecSchema } from './motion-spec';

/** What all courses of a run have in common, without the path that it names. */
export const runJobSchema = z.strictObject({
  reach: reachSpecSchema,
  shape: shapeSpecSchema,
  bending: bendingSpecSchema,
  motion: motionSpecSchema,
});

export type RunSteps = z.infer<typeof runJobSchema>;

/** The job of a run with one course, without the segment and path that it names. */
export interface RunJob extends RunSteps {
  readonly course: CourseJob;
}
