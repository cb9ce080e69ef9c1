import type { CourseJob } from '../../core/layout/course-spec';
import { LAYING_DEFAULTS, type LayingSpec } from '../../core/layout/laying-spec';
import type { RuleSpec } from '../../core/layout/registry';
import { maker, type MakerName, type MakerSpec } from '../../core/segment/registry';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import type { ShapeSpec } from '../../core/shape/shape-spec';
import { MADE_PREPARE, makerDefaults, newCourse } from '../defaults';
import type { Course, Path, Segment } from '../schema';

/** Segments and courses that are added together. */
export interface SetParts {
  readonly segments: readonly Segment[];
  readonly courses: readonly Course[];
  /** The path to begin with; absent = one to be drawn. */
  readonly curve?: Path['curve'];
  readonly frames?: ShapeSpec['frames'];
}

/** Several courses, or a segment with the rule that belongs to it, ready to be laid along a path; adding one is a file here and a line in the list. */
export interface RunSet<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  readonly hint: string;
  /** `id` makes ids of its own for what it is asked for. */
  parts(id: (name: string) => string): SetParts;
}

export const defineSet = <K extends string>(set: RunSet<K>): RunSet<K> => set;

/** A made segment with some of its numbers changed. */
export const madeSegment = (
  id: string,
  kind: MakerName,
  change: object = {},
  more: {
    readonly name?: string;
    readonly prepare?: Partial<PrepareSpec>;
    readonly finishes?: readonly FinishSpec[];
  } = {},
): Segment => ({
  id,
  name: more.name ?? maker(kind).label,
  source: { from: 'maker', spec: { ...(makerDefaults(kind) as object), ...change } as MakerSpec },
  prepare: { ...MADE_PREPARE, ...more.prepare },
  finishes: more.finishes ?? [],
});

/** What a course of a set says, the rest being as a new course has it. */
export interface CourseSaid
  extends Partial<Omit<CourseJob, 'laying'>>, Partial<Pick<Course, 'name' | 'others' | 'head' | 'tail' | 'joint'>> {
  readonly laying?: Partial<Omit<LayingSpec, 'rule'>>;
}

/** A course under an id of its own. */
export function courseOfSet(id: string, segment: string, rule: RuleSpec, { laying, ...said }: CourseSaid = {}): Course {
  return { ...newCourse(segment), ...said, id, laying: { ...LAYING_DEFAULTS, ...laying, rule } };
}
