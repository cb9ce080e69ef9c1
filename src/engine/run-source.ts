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
  /** What it waits for, what that waits for, and so on; absent = nothing. */
  readonly waits?: readonly Wait[];
}

/** A run that another one waits for: until it has grown to a station, metres. */
export interface Wait {
  readonly curve: CurveSpec;
  readonly steps: Pick<RunSteps, 'reach' | 'motion'>;
  readonly station: number;
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
  const isMet = reach.meets !== undefined;
  const needed =
    sits || isMet || guides.some(({ clearance, visible }) => visible && clearance !== null) ? guides : NO_GUIDES;
  const steps = { reach, shape, bending, motion };
  const waits = waitsOf(project, run);
  return ok({ curve: path.curve, steps, courses, guides: needed, ...(waits.length > 0 && { waits }) });
}

/** Those that wait for each other in a circle wait for one round only. */
function waitsOf({ runs, paths }: Project, run: Run): readonly Wait[] {
  const waits: Wait[] = [];
  const seen = new Set([run.id]);
  for (let { after } = run.motion; after && !seen.has(after.run);) {
    const { station, run: wanted } = after;
    seen.add(wanted);
    const other = runs.find(({ id }) => id === wanted);
    const path = other && paths.find(({ id }) => id === other.path);
    if (!other || !path) break;
    waits.push({ curve: path.curve, steps: { reach: other.reach, motion: other.motion }, station });
    ({ after } = other.motion);
  }
  return waits;
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
  const [waits, others] = [a.waits ?? [], b.waits ?? []];
  const sameWaits =
    waits.length === others.length &&
    waits.every(({ curve, steps, station }, i) => {
      const other = others[i];
      const isSame = steps.motion === other.steps.motion && steps.reach === other.steps.reach;
      return isSame && curve === other.curve && station === other.station;
    });
  return sameWaits && sameSteps && sameCourses && a.curve === b.curve && a.guides === b.guides;
}
