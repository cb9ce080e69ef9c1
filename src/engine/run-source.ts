import type { CurveSpec } from '../core/curve/registry';
import { fail, ok, type Result } from '../core/math/result';
import { mapParts, partsOf, type CourseParts } from '../core/layout/course-parts';
import type { RunSteps } from '../core/motion/run-spec';
import type { Course, Guide, Project, Run, Segment } from '../project/schema';

/** What of a project one run's geometry follows from. */
export interface RunSource {
  readonly curve: CurveSpec;
  readonly steps: RunSteps;
  readonly courses: readonly CourseSource[];
  /** The guides that it sits on or keeps clear of; the very same list as long as nothing about them changes. */
  readonly guides: readonly Guide[];
}

export interface CourseSource extends CourseParts<Segment> {
  readonly course: Course;
}

const NO_GUIDES: readonly Guide[] = [];

/** The parts of a project that a run names. Problems: `run.unknown` with `id`. */
export function sourceOf(project: Project, run: Run): Result<RunSource> {
  const path = project.paths.find(({ id }) => id === run.path);
  const segmentOf = (id: string) => project.segments.find((segment) => segment.id === id)!;
  const courses = run.courses.map((course): CourseSource => ({ course, ...mapParts(course, segmentOf) }));
  const isWhole = courses.every((own) => partsOf(own).length === partsOf(own.course).length);
  if (!path || !isWhole) return fail('run.unknown', { id: run.id });
  const { reach, shape, bending, motion } = run;
  const { guides } = project;
  const sits = shape.frames.rule === 'sitOnGuide' && shape.frames.guide !== undefined;
  const needed = sits || guides.some(({ clearance, visible }) => visible && clearance !== null) ? guides : NO_GUIDES;
  const steps = { reach, shape, bending, motion };
  return ok({ curve: path.curve, steps, courses, guides: needed });
}

/** Whether two sources are made of the very same parts. */
export function isSameSource(a: RunSource, b: RunSource): boolean {
  const sameSteps = (['reach', 'shape', 'bending', 'motion'] as const).every((step) => a.steps[step] === b.steps[step]);
  const sameCourses =
    a.courses.length === b.courses.length &&
    a.courses.every((own, i) => {
      const [parts, other] = [partsOf(own), partsOf(b.courses[i])];
      return (
        own.course === b.courses[i].course && parts.length === other.length && parts.every((p, k) => p === other[k])
      );
    });
  return sameSteps && sameCourses && a.curve === b.curve && a.guides === b.guides;
}
