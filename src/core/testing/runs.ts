import { buildRunMesh } from '../bending/build-run';
import { buildArcTable, evenPlaces } from '../curve/arc-table';
import type { Curve } from '../curve/curve';
import { compileCurve, type CurveSpec } from '../curve/registry';
import { buildFrameTable, type FrameTableOptions } from '../frames/build-frame-table';
import type { FrameRuleName } from '../frames/registry';
import { fillFrame } from '../frames/fill-frame';
import { FRAME_STRIDE, type FrameTable } from '../frames/frame-table';
import type { BendingSpec } from '../layout/bending-spec';
import type { CourseParts } from '../layout/course-parts';
import type { FitSpec } from '../layout/fit-registry';
import type { Layout } from '../layout/layout';
import { layCourse } from '../layout/lay-course';
import { layingRule, type RuleSpec } from '../layout/registry';
import { LAYING_DEFAULTS, type LayingSpec } from '../layout/laying-spec';
import { poseCourse, type CoursePlan } from '../motion/pose-course';
import { MOTION_DEFAULTS, passesOf, type MotionSpec } from '../motion/motion-spec';
import type { RunJob } from '../motion/run-spec';
import { buildFormStore, type FormStore } from '../segment/pieces/form-store';
import type { PointValues } from '../shape/point-lanes';
import { fillFrameOn, SHAPE_STRIDE } from '../shape/frame-on';
import { resolveReach } from '../shape/reach';
import { buildShape, type Shape } from '../shape/shape';
import type { ShapeSpec } from '../shape/shape-spec';
import { ok, type Result } from '../math/result';
import type { Mesh } from '../mesh/mesh';
import { prepareSegment } from '../segment/prepare';
import type { PreparedSegment } from '../segment/prepared-segment';
import { PREPARE_DEFAULTS, type PrepareSpec } from '../segment/segment-spec';

/** The value of a result; throws what its problems are. */
export function unwrap<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
}

export const compiled = (spec: CurveSpec): Curve => unwrap(compileCurve(spec));

export const tableOf = (
  curve: Curve,
  rule: FrameRuleName,
  options?: FrameTableOptions,
  up: [number, number, number] = [0, 1, 0],
): FrameTable => buildFrameTable(buildArcTable(curve), { rule, up }, options);

/** A table whose frames are given at `intervals` + 1 even stations of one span, whatever spans it has. */
export function evenTable(
  curve: Curve,
  rule: FrameRuleName,
  options: FrameTableOptions & { readonly intervals: number },
  up?: [number, number, number],
): FrameTable & { readonly intervals: number; readonly step: number } {
  const table = tableOf(curve, rule, options, up);
  const { intervals } = options;
  const frames = new Float64Array((intervals + 1) * FRAME_STRIDE);
  const places = evenPlaces(buildArcTable(curve), intervals);
  const step = table.length / intervals;
  const stations = Float64Array.from({ length: intervals + 1 }, (_, i) => (i < intervals ? i * step : table.length));
  for (let i = 0; i <= intervals; i++) {
    fillFrame(frames, i * FRAME_STRIDE, table, stations[i], i === intervals);
    frames.set(places.subarray(i * 3, i * 3 + 3), i * FRAME_STRIDE);
  }
  const [starts, params, firsts] = [
    Float64Array.of(0, table.length),
    Float64Array.of(0, 1),
    Uint32Array.of(0, intervals + 1),
  ];
  return { ...table, spans: { starts, params, firsts }, stations, frames, intervals, step };
}

/** Frames of a shape at `intervals` + 1 even stations, with what the path's points say of roll and gauge; see `SHAPE_STRIDE`. */
export function evenShape(
  curve: Curve,
  rule: FrameRuleName,
  { intervals, points }: { readonly intervals: number; readonly points: readonly PointValues[] },
): { readonly frames: Float64Array; readonly step: number; readonly kinks: FrameTable['kinks'] } {
  const table = tableOf(curve, rule, { tolerance: 1e-6 });
  const shape = shapeOf(table, { points });
  const frames = new Float64Array((intervals + 1) * SHAPE_STRIDE);
  const step = table.length / intervals;
  for (let i = 0; i <= intervals; i++) {
    const isEnd = i === intervals;
    fillFrameOn(frames, i * SHAPE_STRIDE, shape, isEnd ? table.length : i * step, isEnd);
  }
  return { frames, step, kinks: table.kinks };
}

/** The shape of a run over all of a path, with no roll of its own unless it is said. */
export const shapeOf = (
  table: FrameTable,
  { points = [], ...said }: Partial<ShapeSpec> & { readonly points?: readonly PointValues[] } = {},
): Shape =>
  buildShape(table, { roll: 0, turns: 0, gauge: 1, ...said }, { reach: { from: 0, to: table.length }, points });

export const prepared = (mesh: Mesh, change: Partial<PrepareSpec> = {}): PreparedSegment =>
  unwrap(prepareSegment(mesh, { ...PREPARE_DEFAULTS, forward: '+x', up: '+y', ...change }));

/** What tests say of a run: a rule with the reach it lays, how it lies and is bent, and how it moves. */
export interface JobChange {
  readonly laying?: Partial<Record<string, unknown>> & {
    readonly kind?: RuleSpec['kind'];
    readonly from?: number | null;
    readonly to?: number | null;
    readonly also?: Partial<LayingSpec>;
    readonly variation?: LayingSpec['variation'];
  };
  readonly bending?: Partial<ShapeSpec & BendingSpec>;
  readonly motion?: Partial<MotionSpec>;
  readonly fit?: FitSpec;
  readonly course?: Partial<RunJob['course']>;
}

const RULES: { readonly [K in RuleSpec['kind']]?: object } = { byCount: { count: 3, over: 'own' } };

/** A run's job with parts of its steps changed: one piece over the whole path, bent with least twist, unless it is said otherwise. */
export function jobOf({ laying = {}, bending = {}, motion, fit, course }: JobChange = {}): RunJob {
  const { kind = 'onePiece', from = null, to = null, variation = LAYING_DEFAULTS.variation, also, ...options } = laying;
  const { pastEnd = 'straightOn', slicing = { by: 'auto' }, tolerance = null, ...shape } = bending;
  const rule = { ...layingRule({ kind }).defaults, ...RULES[kind], ...options };
  return {
    reach: { from, to },
    shape: { frames: { rule: 'leastTwist', up: [0, 1, 0] }, roll: 0, turns: 0, gauge: 1, ...shape },
    bending: { pastEnd, slicing, tolerance },
    motion: { ...MOTION_DEFAULTS, ...motion },
    course: {
      laying: { ...LAYING_DEFAULTS, rule, variation, ...also },
      fit: fit ?? { kind: 'bent' },
      align: { side: 'own', height: 'own' },
      mirrored: false,
      side: 0,
      height: 0,
      ...course,
    },
  };
}

export interface LaidInput extends Partial<CourseParts<PreparedSegment>> {
  readonly segment: PreparedSegment;
  readonly table: FrameTable;
  readonly job: RunJob;
  readonly points?: readonly PointValues[];
  readonly forms?: FormStore;
}

/** A run's shape, and its course laid. */
export function laidRun({
  segment,
  table,
  job,
  points = [],
  forms = buildFormStore(),
  others = [],
  ...more
}: LaidInput) {
  const { course, shape: spec, bending, motion } = job;
  const isHeld = bending.pastEnd === 'hold';
  const shape = buildShape(table, spec, { reach: resolveReach(job.reach, table.length), points, isHeld });
  const { gauge } = spec;
  const passes = passesOf(motion);
  return { shape, laid: layCourse({ ...more, others, shape, segment, course, bending, gauge, passes, forms }) };
}

/** A run at `time` seconds; null = finished. */
export function planRun({ time = null, ...input }: LaidInput & { readonly time?: number | null }): Result<CoursePlan> {
  const { shape, laid } = laidRun(input);
  if (!laid.ok) return laid;
  const { course, motion } = input.job;
  return ok(poseCourse(laid.value, { shape, fit: course.fit, motion, variation: course.laying.variation }, time));
}

export function bentRun(
  segment: PreparedSegment,
  table: FrameTable,
  job: RunJob,
  { time = null, points = [], ...more }: { readonly time?: number | null } & Partial<LaidInput> = {},
): { shape: Shape; layout: Layout; plan: CoursePlan; mesh: Mesh } {
  const { shape, laid } = laidRun({ ...more, segment, table, job, points });
  const plan = unwrap(planRun({ ...more, segment, table, job, points, time }));
  return { shape, layout: unwrap(laid).layout, plan, mesh: buildRunMesh(plan, segment.mesh) };
}
