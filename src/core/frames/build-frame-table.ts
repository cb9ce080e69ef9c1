import { fillParams, pointStationsOf, stationOf, type ArcTable } from '../curve/arc-table';
import type { Curve } from '../curve/curve';
import type { Surface } from '../guides/surface';
import { KINK_ANGLE } from '../math/tolerance';
import { applyPointValues, type PointValues } from './along-points';
import { CURVATURE, FORWARD, FRAME_STRIDE, SIDE, TWIST, UP, type FrameTable, type Kink } from './frame-table';
import { matchEnds } from './match-ends';
import { frameRule, type FrameSpec } from './registry';

export interface FrameTableOptions {
  /** Greatest distance between the path and the chords between samples, metres. Default: a two-thousandth of the length. */
  readonly tolerance?: number;
  /** Number of intervals, in place of the one that follows from the tolerance. */
  readonly intervals?: number;
  /** The path's points, for what they say of roll and gauge. */
  readonly points?: readonly PointValues[];
  /** The guide that the run sits on. */
  readonly surface?: Surface | undefined;
}

const MIN_INTERVALS = 64;
const MAX_INTERVALS = 16_384;

/** Samples a measured curve and gives every sample a frame by the rule in `spec`. */
export function buildFrameTable(arc: ArcTable, spec: FrameSpec, options: FrameTableOptions = {}): FrameTable {
  const { curve, length } = arc;
  const intervals = options.intervals ?? countIntervals(arc, options.tolerance ?? length / 2000);
  const frames = new Float64Array((intervals + 1) * FRAME_STRIDE);
  fillSamples(frames, arc, length / intervals, 0, intervals + 1);
  const kinks = findKinks(arc, 0, curve.breaks.length - 1);
  return frameSamples(frames, arc, { kinks, pointStations: pointStationsOf(arc) }, spec, options);
}

/** Writes position, forward and curvature of the samples from `first` up to, but without, `end`; `step` metres apart. */
export function fillSamples(frames: Float64Array, arc: ArcTable, step: number, first: number, end: number): void {
  const stations = new Float64Array(Math.max(end - first, 0));
  for (let k = 0; k < stations.length; k++) stations[k] = Math.min((first + k) * step, arc.length);
  const params = new Float64Array(stations.length);
  fillParams(params, arc, stations);
  for (let k = 0; k < stations.length; k++) fillSample(frames, (first + k) * FRAME_STRIDE, arc.curve, params[k]!);
}

/** The frame table of samples that have their positions, forwards and curvatures; they become the table's own. */
export function frameSamples(
  frames: Float64Array,
  arc: ArcTable,
  { kinks, pointStations }: Pick<FrameTable, 'kinks' | 'pointStations'>,
  spec: FrameSpec,
  { points = [], surface }: Pick<FrameTableOptions, 'points' | 'surface'>,
): FrameTable {
  const { curve, length, planLength } = arc;
  const { closed } = curve;
  const intervals = frames.length / FRAME_STRIDE - 1;
  const step = length / intervals;
  if (closed) frames.copyWithin(intervals * FRAME_STRIDE, 0, FRAME_STRIDE);
  addKinks(frames, kinks, intervals, step, closed);
  const { closingTwist, steep } = frameRule(spec).fillUps(frames, { intervals, step, closed, up: spec.up, surface });
  const endTwist = spec.ends && !closed ? matchEnds(frames, intervals, step, spec.up, spec.ends) : 0;
  applyPointValues(frames, points, pointStations, { intervals, step, closed });
  fillSides(frames, intervals);
  fillTwist(frames, intervals, step, closed);
  return { closed, intervals, step, frames, length, planLength, pointStations, kinks, closingTwist, steep, endTwist };
}

/** Intervals whose chords stay within `tolerance` at the sharpest place: sagitta = curvature step^2 / 8. */
function countIntervals(arc: ArcTable, tolerance: number): number {
  const { curve, panels } = arc;
  const sample = new Float64Array(FRAME_STRIDE);
  let greatest = 0;
  for (let p = 0; p + 2 < panels.length; p += 2) {
    for (let k = 0; k < 8; k++) {
      const u = panels[p]! + ((panels[p + 2]! - panels[p]!) * (k + 0.5)) / 8;
      fillSample(sample, 0, curve, u);
      greatest = Math.max(greatest, Math.hypot(sample[CURVATURE]!, sample[CURVATURE + 1]!, sample[CURVATURE + 2]!));
    }
  }
  const wanted = arc.length * Math.sqrt(greatest / (8 * tolerance));
  const least = Math.max(MIN_INTERVALS, 4 * (curve.breaks.length - 1));
  return Math.round(Math.min(Math.max(wanted, least), MAX_INTERVALS));
}

/** Writes position, forward and curvature vector at u. Where the speed is zero, forward is the limit from just inside. */
function fillSample(out: Float64Array, at: number, curve: Curve, u: number): void {
  curve.pointAt(out, at, u);
  const fromLeft = u >= 1;
  curve.velocityAt(out, at + FORWARD, u, fromLeft);
  let speed2 = squared(out, at + FORWARD);
  let where = u;
  if (speed2 < 1e-20) {
    where = u < 0.5 ? u + 1e-6 : u - 1e-6;
    curve.velocityAt(out, at + FORWARD, where, fromLeft);
    speed2 = squared(out, at + FORWARD);
  }
  curve.accelerationAt(out, at + CURVATURE, where, fromLeft);
  const speed = Math.sqrt(speed2);
  for (let c = 0; c < 3; c++) out[at + FORWARD + c]! /= speed;
  // Curvature vector = (a - (a.t) t) / v^2.
  let along = 0;
  for (let c = 0; c < 3; c++) along += out[at + CURVATURE + c]! * out[at + FORWARD + c]!;
  for (let c = 0; c < 3; c++) {
    out[at + CURVATURE + c] = (out[at + CURVATURE + c]! - along * out[at + FORWARD + c]!) / speed2;
  }
}

const squared = (v: Float64Array, at: number): number => v[at]! ** 2 + v[at + 1]! ** 2 + v[at + 2]! ** 2;

/** The corners at the breaks from `from` to `to`; a closed path's seam is its break 0. */
export function findKinks(arc: ArcTable, from: number, to: number): Kink[] {
  const { curve } = arc;
  const v = new Float64Array(6);
  const kinks: Kink[] = [];
  for (let i = Math.max(from, curve.closed ? 0 : 1); i <= Math.min(to, curve.breaks.length - 2); i++) {
    curve.velocityAt(v, 0, i === 0 ? 1 : curve.breaks[i]!, true);
    curve.velocityAt(v, 3, curve.breaks[i]!);
    const crossed = Math.hypot(
      v[1]! * v[5]! - v[2]! * v[4]!,
      v[2]! * v[3]! - v[0]! * v[5]!,
      v[0]! * v[4]! - v[1]! * v[3]!,
    );
    const angle = Math.atan2(crossed, v[0]! * v[3]! + v[1]! * v[4]! + v[2]! * v[5]!);
    if (angle > KINK_ANGLE) kinks.push({ station: i === 0 ? 0 : stationOf(arc, curve.breaks[i]!), angle });
  }
  return kinks;
}

/** A corner turns within one interval: its curvature there is angle / step, towards the inside of the turn. */
function addKinks(
  frames: Float64Array,
  kinks: readonly Kink[],
  intervals: number,
  step: number,
  closed: boolean,
): void {
  for (const { station } of kinks) {
    const i = Math.min(Math.floor(station / step), intervals - 1);
    const before = (i > 0 ? i - 1 : closed ? intervals - 1 : 0) * FRAME_STRIDE;
    const after = Math.min(i + 1, intervals) * FRAME_STRIDE;
    for (let c = 0; c < 3; c++) {
      const turn = (frames[after + FORWARD + c]! - frames[before + FORWARD + c]!) / step;
      for (const k of [i, Math.min(i + 1, intervals)]) frames[k * FRAME_STRIDE + CURVATURE + c] = turn;
    }
  }
}

/** Side = forward x up. */
function fillSides(frames: Float64Array, intervals: number): void {
  for (let i = 0; i <= intervals; i++) {
    const a = i * FRAME_STRIDE;
    const fx = frames[a + 3]!;
    const fy = frames[a + 4]!;
    const fz = frames[a + 5]!;
    const ux = frames[a + 6]!;
    const uy = frames[a + 7]!;
    const uz = frames[a + 8]!;
    frames[a + SIDE] = fy * uz - fz * uy;
    frames[a + SIDE + 1] = fz * ux - fx * uz;
    frames[a + SIDE + 2] = fx * uy - fy * ux;
  }
}

/** Twist = up' . side, by central differences. */
function fillTwist(frames: Float64Array, intervals: number, step: number, closed: boolean): void {
  for (let i = 0; i <= intervals; i++) {
    const a = i > 0 ? i - 1 : closed ? intervals - 1 : 0;
    const b = i < intervals ? i + 1 : closed ? 1 : intervals;
    const at = i * FRAME_STRIDE;
    const over = (i > 0 || closed ? step : 0) + (i < intervals || closed ? step : 0);
    let sum = 0;
    for (let c = 0; c < 3; c++) {
      sum += (frames[b * FRAME_STRIDE + UP + c]! - frames[a * FRAME_STRIDE + UP + c]!) * frames[at + SIDE + c]!;
    }
    frames[at + TWIST] = sum / over;
  }
}
