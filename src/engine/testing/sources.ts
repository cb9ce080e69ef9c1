import { buildRunMesh } from '../../core/bending/build-run';
import type { CurveSpec } from '../../core/curve/registry';
import type { Result } from '../../core/math/result';
import type { Mesh } from '../../core/mesh/mesh';
import type { CoursePlan } from '../../core/motion/pose-course';
import type { RunJob } from '../../core/motion/run-spec';
import { jobOf, unwrap } from '../../core/testing/runs';
import { COURSE_DEFAULTS, JOB_DEFAULTS, newCourse } from '../../project/defaults';
import type { Guide, Segment } from '../../project/schema';
import { planCourse } from '../derive';
import type { DerivedRun } from '../derived';
import type { RunSource } from '../run-source';

export interface SourceParts {
  readonly segment: Segment;
  readonly curve: CurveSpec;
  readonly job?: RunJob;
  readonly guides?: readonly Guide[];
}

export const DEFAULT_JOB: RunJob = { ...JOB_DEFAULTS, course: COURSE_DEFAULTS };

/** What one run with one course follows from. */
export function sourceWith({
  segment,
  curve,
  job = jobOf({ laying: { kind: 'fillStretch' } }),
  guides = [],
}: SourceParts): RunSource {
  const { course, ...steps } = job;
  return { curve, steps, courses: [{ course: { ...newCourse(segment.id), ...course }, segment, others: [] }], guides };
}

/** The first course of a derived run at a time. */
export const planAt = (derived: DerivedRun, time: number | null = null): CoursePlan =>
  planCourse(derived, derived.courses[0], time);

/** The mesh of a finished run's first course. */
export const meshOf = (derived: Result<DerivedRun>): Mesh =>
  buildRunMesh(planAt(unwrap(derived)), unwrap(derived).courses[0].ready.prepared.mesh);
