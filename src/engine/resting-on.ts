import { sectionAt } from '../core/dressing/rests-on';
import { alignedBy } from '../core/layout/align';
import type { Course } from '../project/schema';
import type { DerivedCourse } from './derived';

/** Metres above the path: where another course lies that this one stands on, or hangs under. */
export function restingOn(
  { course, pieces: { segment } }: DerivedCourse,
  { align, side }: Course,
  gauge: number,
): number {
  const lies = alignedBy(segment.box, course, gauge);
  const z = (side - course.side - lies.side) / gauge;
  const found = sectionAt(segment, course.mirrored ? -z : z, align.height === 'under' ? 'lower' : 'upper');
  return found === undefined ? 0 : found * gauge + lies.up + course.height;
}
