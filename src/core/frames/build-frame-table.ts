import { pointStationsOf, stationOf, type ArcTable } from '../curve/arc-table';
import type { Surface } from '../mesh/surface';
import type { Vec3 } from '../math/vec3';
import { turnBetween } from './double-reflection';
import { FORWARD, FRAME_STRIDE, SIDE, TWIST, UP, type FrameTable, type Spans } from './frame-table';
import { findKinks } from './kinks';
import { matchEnds } from './match-ends';
import { originFor } from './near-table';
import { fitSpans, MAX_SAMPLES, planSpans, withIntervals, type SpanPlan } from './plan-spans';
import { frameRule, type FrameSpec } from './registry';
import { sampleSpans, stationsOf } from './sample-curve';

export interface FrameTableOptions {
  /** What frames between samples may be off by, metres; the samples' chords are off by 16 times as much. Default: a two-thousandth of the length. */
  readonly tolerance?: number;
  /** Number of intervals in all, a span for each leg, in place of those that follow from the tolerance. */
  readonly intervals?: number;
  /** The guide that the run sits on. */
  readonly surface?: Surface | undefined;
}

/** Samples a measured curve and gives every sample a frame by the rule in `spec`. */
export function buildFrameTable(arc: ArcTable, spec: FrameSpec, options: FrameTableOptions = {}): FrameTable {
  const tolerance = options.tolerance ?? arc.length / 2000;
  const fitted =
    options.intervals === undefined
      ? fitSpans(withLeast(planSpans(arc), spec, arc.length), tolerance)
      : { spans: evenSpans(arc, options.intervals), tolerance };
  const pointStations = pointStationsOf(arc);
  return frameSpans(sampleAll(arc, fitted.spans), arc, { ...options, ...fitted, spec, pointStations });
}

/** The plan with as many intervals as the rule asks for besides; `length` = the whole path's, metres. */
export function withLeast(plan: SpanPlan, spec: FrameSpec, length: number): SpanPlan {
  const { leastSamples } = frameRule(spec);
  if (leastSamples === undefined) return plan;
  const { starts } = plan;
  return {
    ...plan,
    least: plan.least.map((n, k) => Math.max(n, ((starts[k + 1] - starts[k]) * leastSamples) / length)),
  };
}

/** Spans from break to break that share so many intervals by their lengths. */
function evenSpans(arc: ArcTable, intervals: number): Spans {
  const params = arc.curve.breaks;
  const starts = params.map((u) => (u === 0 ? 0 : u === 1 ? arc.length : stationOf(arc, u)));
  const counts = Array.from({ length: params.length - 1 }, (_, k) =>
    Math.max(Math.round((intervals * (starts[k + 1] - starts[k])) / arc.length), 1),
  );
  return withIntervals({ starts, params }, counts);
}

/** Positions, forwards and curvatures of all samples. */
export interface Sampled {
  readonly spans: Spans;
  readonly stations: Float64Array;
  readonly frames: Float64Array;
}

function sampleAll(arc: ArcTable, spans: Spans): Sampled {
  const stations = stationsOf(spans);
  const frames = new Float64Array(stations.length * FRAME_STRIDE);
  sampleSpans(frames, arc, spans, stations, 0, spans.starts.length - 1);
  return { spans, stations, frames };
}

/** As {@link sampleAll}; spans that have as many samples as before keep them. */
function sampleFiner(arc: ArcTable, before: Sampled, spans: Spans): Sampled {
  const stations = stationsOf(spans);
  const frames = new Float64Array(stations.length * FRAME_STRIDE);
  for (let k = 0; k + 1 < spans.firsts.length; k++) {
    const [first, end] = [spans.firsts[k], spans.firsts[k + 1]];
    const [old, oldEnd] = [before.spans.firsts[k], before.spans.firsts[k + 1]];
    if (end - first === oldEnd - old) {
      frames.set(before.frames.subarray(old * FRAME_STRIDE, oldEnd * FRAME_STRIDE), first * FRAME_STRIDE);
    } else sampleSpans(frames, arc, spans, stations, k, k + 1);
  }
  return { spans, stations, frames };
}

interface Framing extends Pick<FrameTableOptions, 'surface' | 'intervals'> {
  readonly spec: FrameSpec;
  readonly pointStations: Float64Array;
  readonly tolerance: number;
}

/**
 * The frame table of samples that have their positions, forwards and curvatures; they become the table's own. Spans in which the rule turns
 * up faster than blending between samples can follow are sampled anew, more finely.
 */
export function frameSpans(sampled: Sampled, arc: ArcTable, framing: Framing): FrameTable {
  const { spec, surface, pointStations, tolerance, intervals } = framing;
  const { closed } = arc.curve;
  for (let round = 0; ; round++) {
    const { spans, stations, frames } = sampled;
    // A closed path meets itself exactly.
    if (closed) frames.copyWithin((stations.length - 1) * FRAME_STRIDE, 0, 3);
    const { closingTwist, steep } = frameRule(spec).fillUps(frames, { stations, closed, up: spec.up, surface });
    const endTwist = spec.ends && !closed ? matchEnds(frames, stations, spec.up, spec.ends) : 0;
    const turns = fillSides(frames, spans, stations);
    const finer = round < MOST_ROUNDS && intervals === undefined ? refined(frames, spans, turns) : undefined;
    if (finer) {
      sampled = sampleFiner(arc, sampled, finer);
      continue;
    }
    const kinks = findKinks(frames, spans, closed);
    if (closed && kinks[0]?.station !== 0)
      frames.copyWithin((stations.length - 1) * FRAME_STRIDE + FORWARD, FORWARD, SIDE + 3);
    const { length, planLength } = arc;
    return {
      ...{ arc, closed, spans, stations, frames, length, planLength, pointStations, kinks },
      ...{ closingTwist, steep, endTwist, tolerance, origin: originOf(frames, spans) },
    };
  }
}

/** Whole metres, so that adding it rounds nothing. */
function originOf(frames: Float64Array, { firsts }: Spans): Vec3 {
  const [low, high] = [frames.slice(0, 3), frames.slice(0, 3)];
  const last = frames.length / FRAME_STRIDE - 1;
  for (let k = 0; k < firsts.length; k++) {
    const at = Math.min(firsts[k], last) * FRAME_STRIDE;
    for (let c = 0; c < 3; c++) {
      const v = frames[at + c];
      if (v < low[c]) low[c] = v;
      if (v > high[c]) high[c] = v;
    }
  }
  return originFor(low, high);
}

const MOST_ROUNDS = 3;

/**
 * The spans with more intervals where up turns, beyond what forward makes it, by more than a little from sample to sample; `moves` = the most
 * that it moves by in each, which is never less.
 */
function refined(frames: Float64Array, spans: Spans, moves: Float64Array): Spans | undefined {
  const { firsts } = spans;
  let [isFiner, total] = [false, 0];
  const counts = Array.from(moves, (move, k) => {
    const [first, last] = [firsts[k], firsts[k + 1] - 1];
    let most = 0;
    if (move > ENOUGH)
      for (let i = first; i < last; i++) most = Math.max(most, Math.abs(turnBetween(frames, i, i + 1)));
    const n = last - first;
    const finer = most > ENOUGH ? Math.min(Math.ceil(n * Math.min(most / OWN_TURN, 64)), 65_536) : n;
    isFiner ||= finer > n;
    total += finer + 1;
    return finer;
  });
  return isFiner && total <= MAX_SAMPLES ? withIntervals(spans, counts) : undefined;
}

/** Radians by which up may turn by itself from sample to sample, and what is let pass: blended, it is off by a sixtieth of the cube of that. */
const OWN_TURN = 0.28;
const ENOUGH = 0.36;

/**
 * Side = forward x up, and twist = up' . side by differences within each span; written out, as this is done for every move of a long path.
 * @returns the most that up moves by from sample to sample in each span.
 */
function fillSides(frames: Float64Array, { firsts }: Spans, stations: Float64Array): Float64Array {
  const moves = new Float64Array(firsts.length - 1);
  for (let k = 0; k + 1 < firsts.length; k++) {
    const first = firsts[k];
    const last = firsts[k + 1] - 1;
    let most = 0;
    for (let i = first; i <= last; i++) {
      const at = i * FRAME_STRIDE;
      const ux = frames[at + 6];
      const uy = frames[at + 7];
      const uz = frames[at + 8];
      const sx = frames[at + 4] * uz - frames[at + 5] * uy;
      const sy = frames[at + 5] * ux - frames[at + 3] * uz;
      const sz = frames[at + 3] * uy - frames[at + 4] * ux;
      const before = i > first ? i - 1 : first;
      const after = i < last ? i + 1 : last;
      const a = before * FRAME_STRIDE + UP;
      const b = after * FRAME_STRIDE + UP;
      const over = stations[after] - stations[before];
      const dx = frames[b] - frames[a];
      const dy = frames[b + 1] - frames[a + 1];
      const dz = frames[b + 2] - frames[a + 2];
      const mx = frames[b] - ux;
      const my = frames[b + 1] - uy;
      const mz = frames[b + 2] - uz;
      const move = mx * mx + my * my + mz * mz;
      if (move > most) most = move;
      frames[at + SIDE] = sx;
      frames[at + SIDE + 1] = sy;
      frames[at + SIDE + 2] = sz;
      frames[at + TWIST] = over > 0 ? (dx * sx + dy * sy + dz * sz) / over : 0;
    }
    moves[k] = Math.sqrt(most);
  }
  return moves;
}
