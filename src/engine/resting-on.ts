import { sectionAt } from '../core/dressing/rests-on';
import { alignedBy } from '../core/layout/align';
import { onSection } from '../core/shape/on-section';
import { besideShape, type Shape } from '../core/shape/shape';
import type { Course } from '../project/schema';
import type { DerivedCourse } from './derived';

/** The shape of a run as far up and to the side as what stands on another course of it, or hangs under it: thicker or thinner where that is. */
export function restingOn(
  shape: Shape,
  { course, pieces: { segment } }: DerivedCourse,
  { align, side }: Course,
  gauge: number,
): Shape {
  const lies = alignedBy(segment.box, course, gauge);
  const z = (side - course.side - lies.side) / gauge;
  const found = sectionAt(segment, course.mirrored ? -z : z, align.height === 'under' ? 'lower' : 'upper');
  const ground = besideShape(shape, lies.up + course.height, lies.side + course.side);
  return onSection(ground, found ?? 0, z);
}
