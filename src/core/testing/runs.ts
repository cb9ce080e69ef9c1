import { SliceStore } from '../bending/slice-store';
import { planRun, type RunPlan } from '../bending/plan-run';
import type { RunJob } from '../bending/run-spec';
import { buildRunMesh } from '../bending/build-run';
import { buildArcTable, evenPlaces } from '../curve/arc-table';
import type { Curve } from '../curve/curve';
import { compileCurve, type CurveSpec } from '../curve/registry';
import { buildFrameTable, type FrameTableOptions } from '../frames/build-frame-table';
import type { FrameRuleName } from '../frames/registry';
import { fillFrame } from '../frames/fill-frame';
import { FRAME_STRIDE, type FrameTable } from '../frames/frame-table';
import { NO_VARIATION } from '../laying/variation';
import type { Result } from '../math/result';
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
    fillFrame(frames, i * FRAME_STRIDE, table, stations[i]!, i === intervals);
    frames.set(places.subarray(i * 3, i * 3 + 3), i * FRAME_STRIDE);
  }
  const [starts, params, firsts] = [
    Float64Array.of(0, table.length),
    Float64Array.of(0, 1),
    Uint32Array.of(0, intervals + 1),
  ];
  return { ...table, spans: { starts, params, firsts }, stations, frames, intervals, step };
}

export const prepared = (mesh: Mesh, change: Partial<PrepareSpec> = {}): PreparedSegment =>
  unwrap(prepareSegment(mesh, { ...PREPARE_DEFAULTS, forward: '+x', up: '+y', ...change }));

/** A run's job with parts of its steps changed. */
export function jobOf(change: { [K in keyof RunJob]?: Partial<RunJob[K]> } = {}): RunJob {
  return {
    laying: {
      rule: 'onePiece',
      count: 3,
      countFit: 'own',
      oneFit: 'reach',
      gap: 0,
      from: null,
      to: null,
      variation: NO_VARIATION,
      ...change.laying,
    },
    bending: {
      frames: { rule: 'leastTwist', up: [0, 1, 0] },
      roll: 0,
      turns: 0,
      gauge: 1,
      pastEnd: 'straightOn',
      slicing: { by: 'auto' },
      tolerance: null,
      ...change.bending,
    },
    motion: { growth: 'none', seconds: 4, ...change.motion },
  };
}

export function bentRun(
  segment: PreparedSegment,
  table: FrameTable,
  job: RunJob,
  time: number | null = null,
): { plan: RunPlan; mesh: Mesh } {
  const plan = unwrap(planRun({ table, segment, job, time, slices: new SliceStore() }));
  return { plan, mesh: buildRunMesh(plan, table, segment.mesh) };
}
