import { findAll, type Finding } from '../core/findings/registry';
import { travels } from '../core/motion/motion-spec';
import type { DerivedCourse, DerivedRun } from './derived';
import type { ReadyGuide } from './guide-keeper';

/** What the checks notice of all courses of a run; what is so of the path itself is told once. */
export function findingsOf(
  { source, unmet }: Pick<DerivedRun, 'source' | 'unmet'>,
  courses: readonly DerivedCourse[],
  guides: readonly ReadyGuide[],
): readonly Finding[] {
  const { bending, motion } = source.steps;
  const all = courses.flatMap(({ course, ready, shape, laid, summary, tolerance }, i) => {
    if (course.fit.kind === 'strewn') return []; // it lies where another course does, which is looked at
    const { segment } = source.courses[i];
    const found = findAll({
      ...{ shape, path: source.curve, segment: ready.prepared, prepare: segment.prepare },
      ...{
        isBrought: segment.source.from === 'asset',
        support: ready.support,
        course,
        bending,
        guides,
        unmet,
        travels: travels(motion),
      },
      ...{ layout: laid.layout, summary, tolerance, rowTolerance: laid.tolerance, seam: laid.seam },
    });
    return courses.length > 1 ? found.map((finding) => ({ ...finding, course: course.id })) : found;
  });
  if (courses.length === 1) return all;
  const told = new Map<string, Finding>();
  for (const finding of all) {
    const key = JSON.stringify({ ...finding, course: undefined });
    if (!told.has(key)) told.set(key, finding);
  }
  return [...told.values()];
}
