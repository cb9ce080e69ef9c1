import { raised } from '../core/edit/transform-points';
import type { Finding } from '../core/findings/registry';
import { findAll } from '../core/findings/registry';
import type { FrameTable } from '../core/frames/frame-table';
import { bendTolerance } from '../core/layout/bending-spec';
import { layCourse, type LaidCourse } from '../core/layout/lay-course';
import { layingRule } from '../core/layout/registry';
import { summaryOf, type LayoutSummary } from '../core/layout/summary';
import { lazy } from '../core/math/lazy';
import { Numbers } from '../core/math/numbers';
import type { OnProgress } from '../core/math/progress';
import { ok, type Problem, type Result } from '../core/math/result';
import { poseCourse, type CoursePlan } from '../core/motion/pose-course';
import { motionOf } from '../core/motion/registry';
import { halfWidth } from '../core/segment/prepared-segment';
import { maker, type MakerSpec } from '../core/segment/registry';
import { resolveReach } from '../core/shape/reach';
import { besideShape, buildShape, type Shape } from '../core/shape/shape';
import type { Course } from '../project/schema';
import { bytesOf } from './bytes-of';
import { GuideKeeper, type ReadyGuide } from './guide-keeper';
import { PathStage } from './path-stage';
import type { ReadySegment, SegmentParts } from './ready-segment';
import type { CourseSource, RunSource } from './run-source';
import { SegmentStage, type LoadAsset } from './segment-stage';
import { StageCache, type Stage } from './stage-cache';
import type { LoadBytes } from './texture-images';

/** One course of a run, laid; nothing here hangs on the time. */
export interface DerivedCourse {
  readonly course: Course;
  readonly ready: ReadySegment;
  /** The run's, as far to the side as the course lies. */
  readonly shape: Shape;
  readonly laid: LaidCourse;
  readonly summary: LayoutSummary;
  /** Metres: what the bend is to keep to. */
  readonly tolerance: number;
}

/** Everything about a run short of its bent vertices: at least one course. Nothing here hangs on the time. */
export interface DerivedRun {
  /** With the curve as high as the run lies. */
  readonly source: RunSource;
  readonly table: FrameTable;
  readonly courses: readonly DerivedCourse[];
  /** Worked out when they are asked for. */
  readonly findings: () => readonly Finding[];
}

export interface DeriveOptions {
  readonly onProgress?: OnProgress | undefined;
  /** See `TableInput`. */
  readonly isDragged?: boolean;
}

/** Frames are sampled this many times finer than the bend's tolerance, so that blending between them stays far below it. */
const TABLE_FINENESS = 16;

/** Derives runs stage by stage, and keeps what does not change from one edit to the next: by the values it was worked out from. */
export class Deriver {
  readonly cache: StageCache;
  readonly segments: SegmentStage;
  readonly paths: PathStage;
  readonly guides: GuideKeeper;
  readonly #runs: Stage<Result<DerivedRun>>;
  readonly #numbers = new Numbers();

  constructor(loadAsset: LoadAsset, loadBytes: LoadBytes = async () => undefined, cache = new StageCache()) {
    this.cache = cache;
    this.segments = new SegmentStage(cache, loadAsset, loadBytes);
    this.paths = new PathStage(cache);
    this.guides = new GuideKeeper((id) => this.segments.brought(id), cache);
    this.#runs = cache.stage(runBytes);
  }

  /** Problems: those of the path, the segments and the laying. */
  async derive(asked: RunSource, { onProgress, isDragged }: DeriveOptions = {}): Promise<Result<DerivedRun>> {
    const { steps } = asked;
    const source = { ...asked, curve: raised(asked.curve, steps.shape.lift ?? 0) };
    const readies: ReadySegment[] = [];
    const warnings: Problem[] = [];
    for (const course of source.courses) {
      const ready = await this.segments.ready(this.filled(source, course), onProgress);
      if (!ready.ok) return ready;
      readies.push(ready.value);
      warnings.push(...ready.warnings);
    }
    const guides = await this.guides.all(source.guides);
    const { frames } = steps.shape;
    const sat = guides.find(({ id }) => id === frames.guide);
    const tolerance = Math.min(...readies.map((ready) => toleranceOf(source, ready))) / TABLE_FINENESS;
    const table = this.paths.table({ curve: source.curve, frames, tolerance, sat, isDragged });
    if (!table.ok) return table;
    const derived = this.#lay(source, table.value, readies, guides);
    return derived.ok ? ok(derived.value, warnings) : derived;
  }

  /** Shaped, laid and sliced once for all times. */
  #lay(
    source: RunSource,
    table: FrameTable,
    readies: readonly ReadySegment[],
    guides: readonly ReadyGuide[],
  ): Result<DerivedRun> {
    const { steps, courses, curve } = source;
    const checked = guides.map(({ id, key, clearance }) => [id, key, clearance]);
    const points = curve.points.map(({ roll, gauge, radius }) => [roll, gauge, radius]);
    const numbers = [table, ...readies].map((made) => this.#numbers.of(made));
    const loose = courses.map(({ segment }) => segment.prepare);
    const key = JSON.stringify([numbers, steps, courses.map(({ course }) => course), loose, points, checked]);
    return this.#runs.get(key, () => {
      const { passes } = motionOf(steps.motion);
      const reach = resolveReach(steps.reach, table.length);
      const shape = buildShape(table, steps.shape, { reach, points: curve.points });
      const laid: DerivedCourse[] = [];
      for (const [i, { course }] of courses.entries()) {
        const ready = readies[i];
        const own = besideShape(shape, course.height, course.side);
        const { bending } = steps;
        const { gauge } = steps.shape;
        const segment = ready.prepared;
        const result = layCourse({ shape: own, segment, course, bending, gauge, passes, forms: this.cache });
        if (!result.ok) return result;
        const { layout } = result.value;
        const summary = summaryOf(layout);
        laid.push({ course, ready, shape: own, laid: result.value, summary, tolerance: toleranceOf(source, ready) });
      }
      return ok({ source, table, courses: laid, findings: lazy(() => findingsOf(source, laid, guides)) });
    });
  }

  /** The segment of a course; a made one that is to fill the path is made as long as the reach; those that are counted keep their length. */
  filled({ curve, steps }: Pick<RunSource, 'curve' | 'steps'>, { course, segment }: CourseSource): SegmentParts {
    const { source } = segment;
    const fill = source.from === 'maker' ? maker(source.spec.kind).fill : undefined;
    const keepsLength = layingRule(course.laying.rule).isCounted;
    const arc = fill && !keepsLength ? this.paths.arc(curve) : undefined;
    if (source.from !== 'maker' || !fill || !arc?.ok) return segment;
    const { from, to } = resolveReach(steps.reach, arc.value.length);
    return { ...segment, source: { ...source, spec: fill(source.spec, to - from) as MakerSpec } };
  }
}

/** Bytes of a run beside its segments and its path, which are kept by themselves. */
const runBytes = (run: Result<DerivedRun>): number =>
  run.ok ? bytesOf(run.value.courses, [run.value.table, ...run.value.courses.map(({ ready }) => ready)]) : bytesOf(run);

const toleranceOf = ({ steps }: RunSource, { prepared }: ReadySegment): number =>
  bendTolerance(steps.bending.tolerance, halfWidth(prepared.box), steps.shape.gauge);

/** Those of all courses; what is so of the path itself is told once. */
function findingsOf(
  source: RunSource,
  courses: readonly DerivedCourse[],
  guides: readonly ReadyGuide[],
): readonly Finding[] {
  const { bending } = source.steps;
  const all = courses.flatMap(({ course, ready, shape, laid, summary, tolerance }, i) => {
    const { segment } = source.courses[i];
    return findAll({
      ...{ shape, path: source.curve, segment: ready.prepared, prepare: segment.prepare },
      ...{ isBrought: segment.source.from === 'asset', support: ready.support, course, bending, guides },
      ...{ layout: laid.layout, summary, tolerance, rowTolerance: laid.tolerance },
    });
  });
  return courses.length > 1 ? [...new Map(all.map((finding) => [JSON.stringify(finding), finding])).values()] : all;
}

/** A derived course at `time` seconds; null = finished. */
export const planCourse = (
  { source }: DerivedRun,
  { course, shape, laid }: DerivedCourse,
  time: number | null,
): CoursePlan =>
  poseCourse(laid, { shape, fit: course.fit, motion: source.steps.motion, variation: course.laying.variation }, time);
