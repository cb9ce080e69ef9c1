import type { Course, Path, Run, Segment } from '../../project/schema';
import type { CourseView } from '../state/results-store';

/** What every step's controls get. */
export interface StepProps {
  readonly run: Run;
  /** The course that is shown, and its segment. */
  readonly course: Course;
  readonly segment: Segment;
  readonly path: Path;
  readonly result: CourseView | undefined;
}
