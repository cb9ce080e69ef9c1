import { stationOf, type ArcTable } from '../curve/arc-table';
import type { Curve } from '../curve/curve';
import { followArc, touchedLegs, touchedStations, type TouchedLegs } from '../curve/follow-arc';
import { fillSamples, findKinks, frameSamples, type FrameTableOptions } from './build-frame-table';
import { CURVATURE, FORWARD, FRAME_STRIDE, type FrameTable } from './frame-table';
import type { FrameSpec } from './registry';

/** A curve measured and sampled exactly: what edits of it can follow. */
export interface FrameBase {
  readonly arc: ArcTable;
  readonly table: Pick<FrameTable, 'intervals' | 'step' | 'length' | 'kinks' | 'pointStations'>;
  /** Its samples, of which positions, forwards and curvatures are read. */
  readonly samples: Float64Array;
  /** Curvature up to which they are near enough to each other, 1/m. */
  readonly sharpest: number;
}

/** What follows from a table that was built anew. */
export function frameBase(arc: ArcTable, table: FrameTable): FrameBase {
  const { step, kinks, intervals } = table;
  let samples = table.frames;
  if (kinks.length > 0) {
    // Beside corners a table holds their turn for the bend; here the bend itself is needed.
    samples = samples.slice();
    for (const { station } of kinks) {
      const i = Math.min(Math.floor(station / step), intervals - 1);
      fillSamples(samples, arc, step, i, i + 2);
    }
  }
  let most = 2 / table.length;
  for (let i = 0; i <= intervals; i++) most = Math.max(most, curvatureOf(samples, i));
  return { arc, table, samples, sharpest: most * SHARPER };
}

const SHARPER = 1.3;

/** More of the path than this is not followed but built anew. */
const MOST_TOUCHED = 0.25;

/**
 * The frame table of an edited curve; `known` = the legs that the edit touched, where that is known. Touched legs are sampled exactly, the
 * samples of the others are taken from those before, between which they are blended, and shifted along the path; then the rule gives all
 * of them their frames. Undefined where that would not be the same to within the table's tolerance: paths that have other legs, edits of much
 * of the path, and bends sharper than the samples are spaced for.
 */
export function followTable(
  base: FrameBase,
  curve: Curve,
  spec: FrameSpec,
  {
    known,
    ...options
  }: Pick<FrameTableOptions, 'points' | 'surface'> & { readonly known?: TouchedLegs | undefined } = {},
): FrameTable | undefined {
  const { arc: before, table, sharpest } = base;
  const touched = known ?? touchedLegs(before.curve, curve);
  if (!touched || touched.end - touched.first > (curve.breaks.length - 1) * MOST_TOUCHED) return undefined;
  const arc = followArc(before, curve, touched);
  const { from, oldTo, to } = touchedStations(before, arc, touched);
  const shift = to - oldTo;
  const { intervals } = table;
  const step = arc.length / intervals;
  const frames = new Float64Array((intervals + 1) * FRAME_STRIDE);
  const first = Math.min(Math.ceil(from / step), intervals);
  const isToEnd = touched.end === curve.breaks.length - 1;
  // The first sample beyond the touched legs.
  const last = isToEnd ? intervals + 1 : Math.min(Math.max(Math.ceil(to / step), first), intervals + 1);
  for (let i = 0; i < first; i++) blend(frames, i, base, i * step);
  for (let i = last; i <= intervals; i++) blend(frames, i, base, i * step - shift);
  fillSamples(frames, arc, step, first, last);
  for (let i = first; i < last; i++) if (curvatureOf(frames, i) > sharpest) return undefined;
  const untouched = table.kinks.filter(({ station }) => station < from - step * 1e-6 || station > oldTo + step * 1e-6);
  const carried = untouched.map((kink) => (kink.station < from ? kink : { ...kink, station: kink.station + shift }));
  for (const { station } of carried) exactAround(frames, arc, step, station);
  const kinks = [...carried, ...findKinks(arc, touched.first, touched.end)].sort((a, b) => a.station - b.station);
  const pointStations = Float64Array.from(curve.pointParams, (u, i) => {
    const s = table.pointStations[i]!;
    return s <= from ? s : s >= oldTo ? s + shift : stationOf(arc, u);
  });
  return frameSamples(frames, arc, { kinks, pointStations }, spec, options);
}

/** Samples whose neighbours before lay on either side of a corner are not blended. */
function exactAround(frames: Float64Array, arc: ArcTable, step: number, station: number): void {
  const i = Math.floor(station / step);
  fillSamples(frames, arc, step, Math.max(i - 1, 0), Math.min(i + 3, frames.length / FRAME_STRIDE));
}

function curvatureOf(frames: Float64Array, i: number): number {
  const at = i * FRAME_STRIDE + CURVATURE;
  return Math.sqrt(frames[at]! * frames[at]! + frames[at + 1]! * frames[at + 1]! + frames[at + 2]! * frames[at + 2]!);
}

/** Sample `to` of `out`, between the base's samples at station `s`: a cubic through places and tangents, directions and bends blended. */
function blend(out: Float64Array, to: number, { samples, table }: FrameBase, s: number): void {
  const { intervals, step } = table;
  const x = Math.min(Math.max(s / step, 0), intervals);
  const i = Math.min(Math.floor(x), intervals - 1);
  const t = x - i;
  const q = 1 - t;
  const at = to * FRAME_STRIDE;
  const a = i * FRAME_STRIDE;
  const b = a + FRAME_STRIDE;
  const h00 = (1 + 2 * t) * q * q;
  const h10 = t * q * q * step;
  const h01 = t * t * (3 - 2 * t);
  const h11 = -t * t * q * step;
  const [p, f, k] = [a + FORWARD, b + FORWARD, at + FORWARD]; // written out by axis: this is done for every sample of a long path
  out[at] = h00 * samples[a]! + h10 * samples[p]! + h01 * samples[b]! + h11 * samples[f]!;
  out[at + 1] = h00 * samples[a + 1]! + h10 * samples[p + 1]! + h01 * samples[b + 1]! + h11 * samples[f + 1]!;
  out[at + 2] = h00 * samples[a + 2]! + h10 * samples[p + 2]! + h01 * samples[b + 2]! + h11 * samples[f + 2]!;
  const x1 = q * samples[p]! + t * samples[f]!;
  const y1 = q * samples[p + 1]! + t * samples[f + 1]!;
  const z1 = q * samples[p + 2]! + t * samples[f + 2]!;
  const scale = 1 / Math.sqrt(x1 * x1 + y1 * y1 + z1 * z1);
  out[k] = x1 * scale;
  out[k + 1] = y1 * scale;
  out[k + 2] = z1 * scale;
  out[at + CURVATURE] = q * samples[a + CURVATURE]! + t * samples[b + CURVATURE]!;
  out[at + CURVATURE + 1] = q * samples[a + CURVATURE + 1]! + t * samples[b + CURVATURE + 1]!;
  out[at + CURVATURE + 2] = q * samples[a + CURVATURE + 2]! + t * samples[b + CURVATURE + 2]!;
}
