import { groundOf } from '../../core/dressing/ground-of';
import { FITS, fitOf } from '../../core/layout/fit-registry';
import type { Course, Run } from '../../project/schema';

/** The fits that a course of a run may have: it is strewn only where there is something to strew it over. */
export function fitsFor({ courses }: Run, course: Course) {
  const asStrewn = { ...course, fit: fitOf({ kind: 'strewn' }).defaults };
  const hasGround = groundOf(courses.filter(({ id }) => id !== course.id), asStrewn) >= 0; // prettier-ignore
  return FITS.filter(({ isStrewn }) => !isStrewn || hasGround);
}
