import { PANEL_STRIDE, stationOf, type ArcTable } from '../curve/arc-table';
import type { Curve } from '../curve/curve';
import { followArc, touchedLegs, touchedStations, type TouchedLegs } from '../curve/follow-arc';
import { frameSpans, withLeast, type FrameTableOptions } from './build-frame-table';
import { FRAME_STRIDE, type FrameTable, type Spans } from './frame-table';
import { countIntervals, MAX_SAMPLES, planSpans, withIntervals } from './plan-spans';
import type { FrameSpec } from './registry';
import { sampleSpans, stationsOf } from './sample-curve';

/** A curve measured and sampled: what edits of it can follow. */
export interface FrameBase {
  readonly arc: ArcTable;
  readonly table: Pick<FrameTable, 'spans' | 'stations' | 'frames' | 'tolerance' | 'pointStations'>;
}

/** More of the path than this is not followed but built anew. */
const MOST_TOUCHED = 0.25;

/**
 * The frame table of an edited curve; `known` = the legs that the edit touched, where that is known. Touched legs are measured and sampled
 * anew, the samples of the others are those of before, moved along; then the rule gives all of them their frames. Undefined where that would
 * be no quicker: paths that have other legs, and edits of much of the path.
 */
export function followTable(
  base: FrameBase,
  curve: Curve,
  spec: FrameSpec,
  { known, surface }: Pick<FrameTableOptions, 'surface'> & { readonly known?: TouchedLegs | undefined } = {},
): FrameTable | undefined {
  const { arc: before, table } = base;
  const touched = known ?? touchedLegs(before.curve, curve);
  if (!touched || touched.end - touched.first > (curve.breaks.length - 1) * MOST_TOUCHED) return undefined;
  const arc = followArc(before, curve, touched);
  const { from, oldTo, to } = touchedStations(before, arc, touched);
  const shift = to - oldTo;
  const pointStations = Float64Array.from(curve.pointParams, (u, i) => {
    const s = table.pointStations[i];
    return s <= from ? s : s >= oldTo ? s + shift : stationOf(arc, u);
  });
  const [u0, u1] = [curve.breaks[touched.first], curve.breaks[touched.end]];
  const own = withLeast(planSpans(arc, panelAt(arc, u0), panelAt(arc, u1)), spec, arc.length);
  const spans = spliced(table.spans, { ...own, counts: countIntervals(own, table.tolerance) }, shift, arc.length);
  if (!spans || spans.firsts[spans.firsts.length - 1] > MAX_SAMPLES) return undefined;
  const stations = stationsOf(spans);
  const frames = new Float64Array(stations.length * FRAME_STRIDE);
  const [head, tail] = [spans.head, spans.head + own.bend.length];
  const [first, end] = [spans.firsts[head], spans.firsts[tail]];
  frames.set(table.frames.subarray(0, first * FRAME_STRIDE));
  frames.set(table.frames.subarray(table.frames.length - (stations.length - end) * FRAME_STRIDE), end * FRAME_STRIDE);
  sampleSpans(frames, arc, spans, stations, head, tail);
  const { tolerance } = table;
  return frameSpans({ spans, stations, frames }, arc, { spec, surface, pointStations, tolerance });
}

/** Number of the panel that begins at u; there is one at every break. */
function panelAt({ panels }: ArcTable, u: number): number {
  let low = 0;
  let high = panels.length / PANEL_STRIDE - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (panels[middle * PANEL_STRIDE] < u) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The spans with those of the touched legs in place of the ones there; `head` = how many stay before them. */
function spliced(
  { starts, params, firsts }: Spans,
  own: { readonly starts: Float64Array; readonly params: Float64Array; readonly counts: Uint32Array },
  shift: number,
  length: number,
): (Spans & { readonly head: number }) | undefined {
  const { params: us } = own;
  const head = params.indexOf(us[0]);
  const tail = params.indexOf(us[us.length - 1]);
  if (head < 0 || tail < head) return undefined;
  const kept = (from: number, to: number) =>
    Array.from({ length: to - from }, (_, k) => firsts[from + k + 1] - firsts[from + k] - 1);
  const replaced = kept(head, tail);
  // What the rule asked for before it will ask for again.
  const counts =
    own.counts.length === replaced.length ? own.counts.map((n, k) => Math.max(n, replaced[k])) : own.counts;
  const all = [...kept(0, head), ...counts, ...kept(tail, params.length - 1)];
  const join = (before: Float64Array, middle: Float64Array, after: Float64Array) => {
    const out = new Float64Array(before.length + middle.length + after.length);
    out.set(before);
    out.set(middle, before.length);
    out.set(after, before.length + middle.length);
    return out;
  };
  const moved = starts.subarray(tail + 1).map((s) => s + shift);
  if (moved.length > 0) moved[moved.length - 1] = length;
  return {
    head,
    ...withIntervals(
      {
        starts: join(starts.subarray(0, head), own.starts, moved),
        params: join(params.subarray(0, head), us, params.subarray(tail + 1)),
      },
      all,
    ),
  };
}
