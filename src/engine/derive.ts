import { withCornerRadius } from '../core/edit/corner-radius';
import { raised } from '../core/edit/transform-points';
import type { FrameTable } from '../core/frames/frame-table';
import { nearTable } from '../core/frames/near-table';
import type { StiffStretch } from '../core/curve/stiffen-curve';
import { bendTolerance } from '../core/layout/bending-spec';
import { alignedBy } from '../core/layout/align';
import { mapParts, partsOf, type CourseParts } from '../core/layout/course-parts';
import { groundOf } from '../core/dressing/ground-of';
import { strew } from '../core/dressing/strew';
import { layCourse } from '../core/layout/lay-course';
import { layingRule } from '../core/layout/registry';
import { stiffStretches } from '../core/layout/stiff-stretches';
import { summaryOf } from '../core/layout/summary';
import { lazy } from '../core/math/lazy';
import { Numbers } from '../core/math/numbers';
import type { OnProgress } from '../core/math/progress';
import { ok, type Problem, type Result } from '../core/math/result';
import { poseCourse, type CoursePlan, type PosedPiece } from '../core/motion/pose-course';
import { passesOf } from '../core/motion/motion-spec';
import { halfWidth } from '../core/segment/prepared-segment';
import { maker, type MakerSpec } from '../core/segment/registry';
import { resolveReach } from '../core/shape/reach';
import { besideShape, buildShape, type Shape } from '../core/shape/shape';
import type { Course } from '../project/schema';
import { beginsOf } from './begins-of';
import { bytesOf } from './bytes-of';
import { GuideKeeper, type ReadyGuide } from './guide-keeper';
import { meetEnds } from './meet-ends';
import type { DerivedCourse, DerivedRun } from './derived';
import { restingOn } from './resting-on';
import { findingsOf } from './run-findings';
import { PathStage } from './path-stage';
import { coursePieces } from './course-segments';
import type { ReadySegment, SegmentParts } from './ready-segment';
import type { CourseSource, RunSource } from './run-source';
import { SegmentStage, type LoadAsset } from './segment-stage';
import { StageCache, type Stage } from './stage-cache';
import type { LoadBytes } from './texture-images';

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
  readonly #courses: Stage<Result<DerivedCourse>>;
  readonly #plans: Stage<CoursePlan>;
  readonly #numbers = new Numbers();

  constructor(loadAsset: LoadAsset, loadBytes: LoadBytes = async () => undefined, cache = new StageCache()) {
    this.cache = cache;
    this.segments = new SegmentStage(cache, loadAsset, loadBytes);
    this.paths = new PathStage(cache);
    this.guides = new GuideKeeper((id) => this.segments.brought(id), cache);
    this.#runs = cache.stage(runBytes);
    this.#courses = cache.stage(courseBytes);
    this.#plans = cache.stage(planBytes);
  }

  /** Problems: those of the path, the segments and the laying. */
  async derive(asked: RunSource, { onProgress, isDragged }: DeriveOptions = {}): Promise<Result<DerivedRun>> {
    const { steps } = asked;
    const { lift = 0, cornerRadius = 0 } = steps.shape;
    const source = { ...asked, curve: raised(withCornerRadius(asked.curve, cornerRadius), lift) };
    const readies: CourseParts<ReadySegment>[] = [];
    const warnings: Problem[] = [];
    for (const course of source.courses) {
      const ready = await this.#readyPieces(source, course, onProgress);
      if (!ready.ok) return ready;
      readies.push(ready.value);
      warnings.push(...ready.warnings);
    }
    const guides = await this.guides.all(source.guides);
    const { frames } = steps.shape;
    const sat = guides.find(({ id }) => id === frames.guide);
    const tolerance = Math.min(...readies.map(({ segment }) => toleranceOf(source, segment))) / TABLE_FINENESS;
    const { stiff = [] } = steps.shape;
    const lay = (straight: readonly StiffStretch[]): Result<DerivedRun> => {
      const table = this.paths.table({ curve: source.curve, frames, tolerance, sat, isDragged, stiff: straight });
      return table.ok ? this.#lay({ source, stiff: straight }, table.value, readies, guides) : table;
    };
    let derived = lay(stiff);
    // Where stiff zones of segments have come to lie the path is straight too, and what lies beside them bends smoothly.
    const own = derived.ok ? stiffStretches(derived.value.courses[0].laid.layout.placements, mapParts(readies[0], ({ prepared }) => prepared), source.courses[0].course.fit) : []; // prettier-ignore
    if (own.length > 0) derived = lay([...stiff, ...own]);
    return derived.ok ? ok(derived.value, warnings) : derived;
  }

  /** As {@link planCourse}, kept where pieces were cut for it: frames that are played again need not be cut again. */
  plan(derived: DerivedRun, at: number, time: number | null): CoursePlan {
    const key = `${this.#numbers.of(derived)}:${at}:${time}`;
    const known = this.#plans.peek(key);
    if (known) return known;
    const plan = planCourse(derived, derived.courses[at], time);
    if (time !== null && plan.pieces.some(isCut)) this.#plans.put(key, plan);
    return plan;
  }

  /** Shaped, laid and sliced once for all times. */
  #lay(
    { source, stiff }: Pick<DerivedRun, 'source' | 'stiff'>,
    all: FrameTable,
    readies: readonly CourseParts<ReadySegment>[],
    guides: readonly ReadyGuide[],
  ): Result<DerivedRun> {
    const { steps, courses, curve } = source;
    const points = curve.points.map(({ roll, gauge, corner }) => [roll, gauge, corner]);
    const radii = curve.points.map(({ radius }) => radius);
    const { reach: asked, shape: said, bending } = steps;
    const passes = passesOf(steps.motion);
    const { reach, flush, unmet } = meetEnds(all, asked, guides);
    const ownKey = (i: number): string =>
      JSON.stringify([[all, ...partsOf(readies[i])].map((made) => this.#numbers.of(made)), reach, flush, said, bending, passes, points, courses[i].course]); // prettier-ignore
    const grounds = courses.map(({ course }) => groundOf(courses.map((own) => own.course), course)); // prettier-ignore
    const own = courses.map((_, i) => ownKey(i));
    const keys = own.map((key, i) => (grounds[i] < 0 ? key : key + own[grounds[i]]));
    const checked = guides.map(({ id, key, clearance }) => [id, key, clearance]);
    const loose = courses.map(({ segment }) => segment.prepare);
    const begins = beginsOf(source, this.paths);
    return this.#runs.get(JSON.stringify([keys, steps.motion, begins, loose, radii, checked]), () => {
      const table = nearTable(all, reach.from, reach.to);
      const shape = buildShape(table, said, { reach, points: curve.points, isHeld: bending.pastEnd === 'hold', flush });
      const laid: DerivedCourse[] = [];
      // What others are strewn over comes first.
      const order = [...courses.keys()].sort((a, b) => Number(grounds[a] >= 0) - Number(grounds[b] >= 0));
      for (const i of order) {
        const ground = laid[grounds[i]];
        const made = this.#courses.get(keys[i], () => this.#layCourse(source, shape, courses[i].course, readies[i], ground)); // prettier-ignore
        if (!made.ok) return made;
        laid[i] = made.value;
      }
      return ok({
        source,
        table,
        courses: laid,
        stiff,
        unmet,
        begins,
        findings: lazy(() => findingsOf({ source, unmet }, laid, guides)),
      });
    });
  }

  #layCourse(
    { steps }: RunSource,
    shape: Shape,
    course: Course,
    readies: CourseParts<ReadySegment>,
    ground?: DerivedCourse,
  ): Result<DerivedCourse> {
    const { bending, motion } = steps;
    const { gauge } = steps.shape;
    const { prepared } = readies.segment;
    const pieces = coursePieces(readies);
    const lies = alignedBy(prepared.box, course, gauge);
    const { fit } = course;
    const aligned = besideShape(shape, course.height + lies.up, lies.side);
    const beside = ground ? restingOn(aligned, ground, course, gauge) : besideShape(aligned, 0, course.side);
    const own = fit.kind === 'strewn' && ground ? ground.shape : beside;
    const passes = passesOf(motion);
    const bodies = [pieces.segment, ...pieces.others].map(({ length }) => length);
    const over = fit.kind === 'strewn' && ground ? strew({ ...ground, fit: ground.course.fit }, fit, bodies) : undefined; // prettier-ignore
    if (over && !over.ok) return over;
    const laid = layCourse({ ...pieces, shape: own, course, bending, gauge, passes, forms: this.cache, over: over?.value }); // prettier-ignore
    if (!laid.ok) return laid;
    const tolerance = bendTolerance(bending.tolerance, halfWidth(prepared.box), gauge);
    const summary = summaryOf(laid.value.layout);
    return ok({ course, ready: readies.segment, pieces, shape: own, laid: laid.value, summary, tolerance });
  }

  /** All segments of a course made ready. */
  async #readyPieces(
    source: RunSource,
    course: CourseSource,
    onProgress?: OnProgress,
  ): Promise<Result<CourseParts<ReadySegment>>> {
    const warnings: Problem[] = [];
    const made = new Map<SegmentParts, ReadySegment>();
    const parts: CourseParts<SegmentParts> = { ...course, segment: this.filled(source, course) };
    for (const part of partsOf(parts)) {
      const ready = await this.segments.ready(part, onProgress);
      if (!ready.ok) return ready;
      made.set(part, ready.value);
      warnings.push(...ready.warnings);
    }
    return ok(
      mapParts(parts, (part) => made.get(part)!),
      warnings,
    );
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

/** Bytes of a run beside its courses and its path, which are kept by themselves. */
const runBytes = (run: Result<DerivedRun>): number =>
  run.ok ? bytesOf({ ...run.value }, [run.value.table, ...run.value.courses]) : bytesOf(run);

/** Whether a piece wears something else than in the finished course. */
const isCut = ({ form, laid }: PosedPiece): boolean => form !== laid.form;

/** Bytes of a plan beside what its course keeps, each piece as a rough measure. */
const planBytes = ({ pieces }: CoursePlan): number =>
  pieces.length * 400 + pieces.filter(isCut).reduce((sum, { form }) => sum + bytesOf(form.mesh), 0);

/** Bytes of a course beside its segments and its path. */
const courseBytes = (course: Result<DerivedCourse>): number =>
  course.ok
    ? bytesOf(course.value, [course.value.shape.table, course.value.ready, course.value.pieces])
    : bytesOf(course);

const toleranceOf = ({ steps }: RunSource, { prepared }: ReadySegment): number =>
  bendTolerance(steps.bending.tolerance, halfWidth(prepared.box), steps.shape.gauge);

/** A derived course at `time` seconds; null = finished. */
export const planCourse = (
  { source, begins }: DerivedRun,
  { course, shape, laid }: DerivedCourse,
  time: number | null,
): CoursePlan =>
  poseCourse(
    laid,
    { shape, fit: course.fit, motion: source.steps.motion, variation: course.laying.variation },
    time === null ? null : time - begins,
  );
