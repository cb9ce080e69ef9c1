import { PANEL_STRIDE, type ArcTable } from '../curve/arc-table';
import { MOST_TURN, STRAIGHT_CURVATURE } from '../math/tolerance';
import { CURVATURE, FRAME_STRIDE, type Spans } from './frame-table';
import { fillSample } from './sample-curve';

/** Spans before their samples are counted: where they begin, and how finely each is to be sampled. */
export interface SpanPlan {
  /** As in {@link Spans}. */
  readonly starts: Float64Array;
  readonly params: Float64Array;
  /** Intervals that each needs for its bend at a tolerance of 1 m: they go with the root of that. */
  readonly bend: Float64Array;
  /** Intervals that each needs whatever the tolerance. */
  readonly least: Float64Array;
}

/** Most samples of a table. */
export const MAX_SAMPLES = 262_144;
/** Most intervals of a span: what a place of endless curvature gets. */
const MOST_INTERVALS = 65_536;

/** Between samples a path is a cubic: it keeps so many times nearer to it than the chord does, and to spare. */
export const CUBIC_GAIN = 16;
/** Intervals of a leg that bends at all. */
const LEAST_OF_BEND = 3;

/**
 * A span a leg, or several where its quadrature had to be halved or one half bends much more than the other; sagitta = curvature step^2 / 8.
 * `first` and `end` number panels.
 */
export function planSpans(arc: ArcTable, first = 0, end = arc.panels.length / PANEL_STRIDE - 1): SpanPlan {
  const { curve, panels } = arc;
  const starts: number[] = [];
  const params: number[] = [];
  const bend: number[] = [];
  const least: number[] = [];
  const sample = new Float64Array(FRAME_STRIDE);
  const sharpestOn = (u0: number, u1: number): number => {
    let most = 0;
    for (let k = 0; k < 8; k++) {
      fillSample(sample, 0, curve, u0 + ((u1 - u0) * (k + 0.5)) / 8);
      const squared = sample[CURVATURE] ** 2 + sample[CURVATURE + 1] ** 2 + sample[CURVATURE + 2] ** 2;
      if (squared > most) most = squared;
    }
    return Math.sqrt(most);
  };
  const add = (u: number, from: number, to: number, sharpest: number): void => {
    starts.push(from);
    params.push(u);
    bend.push((to - from) * Math.sqrt(sharpest / (8 * CUBIC_GAIN)));
    least.push(sharpest > STRAIGHT_CURVATURE ? Math.max(((to - from) * sharpest) / MOST_TURN, LEAST_OF_BEND) : 1);
  };
  for (let p = first; p < end; p += 2) {
    const at = p * PANEL_STRIDE;
    const [u0, um, u1] = [panels[at], panels[at + PANEL_STRIDE], panels[at + 2 * PANEL_STRIDE]];
    const [s0, sm, s1] = [panels[at + 1], panels[at + PANEL_STRIDE + 1], panels[at + 2 * PANEL_STRIDE + 1]];
    const [left, right] = [sharpestOn(u0, um), sharpestOn(um, u1)];
    if (Math.max(left, right) > 4 * Math.min(left, right) && Math.max(left, right) * (s1 - s0) > UNEVEN_TURN) {
      add(u0, s0, sm, left);
      add(um, sm, s1, right);
    } else add(u0, s0, s1, Math.max(left, right));
  }
  starts.push(panels[end * PANEL_STRIDE + 1]);
  params.push(panels[end * PANEL_STRIDE]);
  const floats = (values: readonly number[]) => Float64Array.from(values);
  return { starts: floats(starts), params: floats(params), bend: floats(bend), least: floats(least) };
}

/** Legs that turn by less than this are not worth two spans, radians. */
const UNEVEN_TURN = 0.2;

/** Intervals of each span at a tolerance. */
export function countIntervals({ bend, least }: SpanPlan, tolerance: number): Uint32Array {
  const k = 1 / Math.sqrt(tolerance);
  return Uint32Array.from(bend, (b, i) => {
    const wanted = Math.ceil(Math.max(b * k, least[i]) - 1e-9);
    return wanted < MOST_INTERVALS ? Math.max(wanted, 1) : MOST_INTERVALS; // also where it is no number
  });
}

/** The spans with their samples counted; `tolerance` is the one that they keep to with no more than {@link MAX_SAMPLES}. */
export function fitSpans(plan: SpanPlan, tolerance: number): { readonly spans: Spans; readonly tolerance: number } {
  for (let used = tolerance; ; used *= 1.5) {
    const spans = withIntervals(plan, countIntervals(plan, used));
    const count = spans.firsts[spans.firsts.length - 1];
    if (count <= MAX_SAMPLES || count <= 3 * plan.bend.length || used > tolerance * 1e9)
      return { spans, tolerance: used };
  }
}

/** Spans of so many intervals each. */
export function withIntervals(
  { starts, params }: Pick<Spans, 'starts' | 'params'>,
  intervals: ArrayLike<number>,
): Spans {
  const firsts = new Uint32Array(intervals.length + 1);
  for (let k = 0; k < intervals.length; k++) firsts[k + 1] = firsts[k] + intervals[k] + 1;
  return { starts, params, firsts };
}
