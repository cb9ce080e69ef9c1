import { pointStationsOf, stationOf, type ArcTable } from '../curve/arc-table';
import type { Surface } from '../guides/surface';
import { MOST_TURN } from '../math/tolerance';
import type { Vec3 } from '../math/vec3';
import { applyLanes, laneIntervals, lanesOf, type PointLanes, type PointValues } from './along-points';
import { turnBetween } from './double-reflection';
import { FORWARD, FRAME_STRIDE, SIDE, TWIST, UP, type FrameTable, type Spans } from './frame-table';
import { findKinks } from './kinks';
import { matchEnds } from './match-ends';
import { fitSpans, MAX_SAMPLES, planSpans, withIntervals, type SpanPlan } from './plan-spans';
import { frameRule, type FrameSpec } from './registry';
import { sampleSpans, stationsOf } from './sample-curve';

export interface FrameTableOptions {
  /** Greatest distance between the path and the chords between samples, metres. Default: a two-thousandth of the length. */
  readonly tolerance?: number;
  /** Number of intervals in all, a span for each leg, in place of those that follow from the tolerance. */
  readonly intervals?: number;
  /** The path's points, for what they say of roll and gauge. */
  readonly points?: readonly PointValues[];
  /** The guide that the run sits on. */
  readonly surface?: Surface | undefined;
}

/** Samples a measured curve and gives every sample a frame by the rule in `spec`. */
export function buildFrameTable(arc: ArcTable, spec: FrameSpec, options: FrameTableOptions = {}): FrameTable {
  const pointStations = pointStationsOf(arc);
  const lanes = lanesOf(options.points ?? [], pointStations, arc.curve.closed ? arc.length : undefined);
  const tolerance = options.tolerance ?? arc.length / 2000;
  const fitted =
    options.intervals === undefined
      ? fitSpans(
          withLanes(planSpans(arc, undefined, undefined, valuedParams(arc, options.points)), lanes, spec),
          tolerance,
        )
      : { spans: evenSpans(arc, options.intervals), tolerance };
  return frameSpans(sampleAll(arc, fitted.spans), arc, { ...options, ...fitted, spec, pointStations, lanes });
}

/** u of the points that carry values, ascending: spans end there, so that what they say is met exactly. */
export function valuedParams({ curve }: ArcTable, points: readonly PointValues[] = []): number[] {
  const valued = points.flatMap(({ roll, gauge }, i) => ((roll ?? gauge) === undefined ? [] : [curve.pointParams[i]!]));
  return valued.sort((a, b) => a - b);
}

/** The plan with as many intervals as lanes and rule ask for besides. */
export function withLanes(plan: SpanPlan, lanes: PointLanes, spec: FrameSpec): SpanPlan {
  const leastSamples = frameRule(spec).leastSamples ?? 0;
  if (!lanes.roll && !lanes.gauge && leastSamples === 0) return plan;
  const { starts } = plan;
  const length = starts[starts.length - 1]! - starts[0]!;
  const least = plan.least.map((least, k) => {
    const [from, to] = [starts[k]!, starts[k + 1]!];
    return Math.max(least, laneIntervals(lanes, from, to), ((to - from) * leastSamples) / length);
  });
  return { ...plan, least };
}

/** Spans from break to break that share so many intervals by their lengths. */
function evenSpans(arc: ArcTable, intervals: number): Spans {
  const params = arc.curve.breaks;
  const starts = params.map((u) => (u === 0 ? 0 : u === 1 ? arc.length : stationOf(arc, u)));
  const counts = Array.from({ length: params.length - 1 }, (_, k) =>
    Math.max(Math.round((intervals * (starts[k + 1]! - starts[k]!)) / arc.length), 1),
  );
  return withIntervals({ starts, params }, counts);
}

/** Positions, forwards and curvatures of all samples. */
export interface Sampled {
  readonly spans: Spans;
  readonly stations: Float64Array;
  readonly frames: Float64Array;
}

export function sampleAll(arc: ArcTable, spans: Spans): Sampled {
  const stations = stationsOf(spans);
  const frames = new Float64Array(stations.length * FRAME_STRIDE);
  sampleSpans(frames, arc, spans, stations, 0, spans.starts.length - 1);
  return { spans, stations, frames };
}

interface Framing extends Pick<FrameTableOptions, 'surface' | 'intervals'> {
  readonly spec: FrameSpec;
  readonly pointStations: Float64Array;
  readonly lanes: PointLanes;
  readonly tolerance: number;
}

/**
 * The frame table of samples that have their positions, forwards and curvatures; they become the table's own. Spans in which the rule turns
 * up faster than blending between samples can follow are sampled anew, more finely.
 */
export function frameSpans(sampled: Sampled, arc: ArcTable, framing: Framing): FrameTable {
  const { spec, surface, pointStations, lanes, tolerance, intervals } = framing;
  const { closed } = arc.curve;
  for (let round = 0; ; round++) {
    const { spans, stations, frames } = sampled;
    // A closed path meets itself exactly.
    if (closed) frames.copyWithin((stations.length - 1) * FRAME_STRIDE, 0, 3);
    const { closingTwist, steep } = frameRule(spec).fillUps(frames, { stations, closed, up: spec.up, surface });
    const endTwist = spec.ends && !closed ? matchEnds(frames, stations, spec.up, spec.ends) : 0;
    const finer = round < MOST_ROUNDS && intervals === undefined ? refined(frames, spans) : undefined;
    if (finer) {
      sampled = sampleAll(arc, finer);
      continue;
    }
    fillSides(frames);
    fillTwist(frames, spans, stations);
    applyLanes(frames, stations, lanes);
    if (lanes.roll) fillSides(frames);
    const kinks = findKinks(frames, spans, closed);
    if (closed && kinks[0]?.station !== 0)
      frames.copyWithin((stations.length - 1) * FRAME_STRIDE + FORWARD, FORWARD, SIDE + 3);
    const { length, planLength } = arc;
    return {
      ...{ closed, spans, stations, frames, length, planLength, pointStations, kinks },
      ...{ closingTwist, steep, endTwist, tolerance, origin: originOf(frames) },
    };
  }
}

/** Metres from the world's origin up to which meshes count from there: 32-bit numbers are good to a sixteen-thousandth of a metre. */
const NEAR = 500;

/** Whole metres, so that adding it rounds nothing. */
function originOf(frames: Float64Array): Vec3 {
  const [low, high] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let i = 0; i < frames.length; i += FRAME_STRIDE) {
    for (let c = 0; c < 3; c++) {
      low[c] = Math.min(low[c]!, frames[i + c]!);
      high[c] = Math.max(high[c]!, frames[i + c]!);
    }
  }
  if (Math.max(...high, ...low.map((v) => -v)) <= NEAR) return [0, 0, 0];
  return low.map((v, c) => Math.round((v + high[c]!) / 2)) as unknown as Vec3;
}

const MOST_ROUNDS = 3;

/** The spans with more intervals where up turns, beyond what forward makes it, by more than a little from sample to sample. */
function refined(frames: Float64Array, spans: Spans): Spans | undefined {
  const { firsts } = spans;
  const counts: number[] = [];
  let isFiner = false;
  let total = 0;
  for (let k = 0; k + 1 < firsts.length; k++) {
    const [first, last] = [firsts[k]!, firsts[k + 1]! - 1];
    let most = 0;
    for (let i = first; i < last; i++) {
      // Cheaper than the turn itself, and never below it: all that up moves by.
      const [a, b] = [i * FRAME_STRIDE + UP, (i + 1) * FRAME_STRIDE + UP];
      const moved =
        (frames[b]! - frames[a]!) ** 2 +
        (frames[b + 1]! - frames[a + 1]!) ** 2 +
        (frames[b + 2]! - frames[a + 2]!) ** 2;
      if (moved > ENOUGH * ENOUGH) most = Math.max(most, Math.abs(turnBetween(frames, i, i + 1)));
    }
    const finer =
      most > ENOUGH ? Math.min(Math.ceil((last - first) * Math.min(most / MOST_TURN, 64)), 65_536) : last - first;
    isFiner ||= finer > last - first;
    counts.push(finer);
    total += finer + 1;
  }
  return isFiner && total <= MAX_SAMPLES ? withIntervals(spans, counts) : undefined;
}

/** Radians of turn from sample to sample that are let pass. */
const ENOUGH = 1.5 * MOST_TURN;

/** Side = forward x up. */
function fillSides(frames: Float64Array): void {
  for (let a = 0; a < frames.length; a += FRAME_STRIDE) {
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

/** Twist = up' . side, by differences within each span. */
function fillTwist(frames: Float64Array, { firsts }: Spans, stations: Float64Array): void {
  for (let k = 0; k + 1 < firsts.length; k++) {
    const [first, last] = [firsts[k]!, firsts[k + 1]! - 1];
    for (let i = first; i <= last; i++) {
      const [a, b] = [Math.max(i - 1, first), Math.min(i + 1, last)];
      const at = i * FRAME_STRIDE;
      let sum = 0;
      for (let c = 0; c < 3; c++) {
        sum += (frames[b * FRAME_STRIDE + UP + c]! - frames[a * FRAME_STRIDE + UP + c]!) * frames[at + SIDE + c]!;
      }
      const over = stations[b]! - stations[a]!;
      frames[at + TWIST] = over > 0 ? sum / over : 0;
    }
  }
}
