import { firstAfter } from '../math/first-after';
import { fillFrame } from './fill-frame';
import { CURVATURE, FRAME_STRIDE, type FrameTable } from './frame-table';

/** Curvature of the frame at `at`, 1/m. */
export function curvatureOf(frames: Float64Array, at: number): number {
  const x = frames[at + CURVATURE];
  const y = frames[at + CURVATURE + 1];
  const z = frames[at + CURVATURE + 2];
  return Math.sqrt(x * x + y * y + z * z);
}

export interface EachOptions {
  /** Metres that frames may be apart. Default: as far as samples are. */
  readonly most?: number;
  /** Whether places between samples at which the bend is sharpest count too; else up to a hundredth of its curvature is missed. */
  readonly peaks?: boolean;
  /** Metres, ascending: further places to call at. */
  readonly also?: ArrayLike<number>;
}

/**
 * Calls back with the frame at both ends of [from, to] (metres), with every sample between, and with frames between those where the options
 * ask for them. Stations never descend, and go on beyond a closed path's seam.
 */
export function eachFrame(
  table: FrameTable,
  from: number,
  to: number,
  call: (frames: Float64Array, at: number, station: number) => void,
  options: EachOptions = {},
): void {
  const { stations, frames, closed, length } = table;
  const { most = Infinity, peaks = false, also = [] } = options;
  if (closed && to > length && from < length) {
    eachFrame(table, from, length, call, options);
    eachFrame(table, 0, Math.min(to - length, length), (f, at, station) => call(f, at, station + length), options);
    return;
  }
  const own = new Float64Array(FRAME_STRIDE);
  const ask = (station: number, isBefore = false) => {
    fillFrame(own, 0, table, station, isBefore);
    call(own, 0, station);
  };
  const evenly = (a: number, b: number) => {
    const steps = Math.ceil((b - a) / most);
    for (let k = 1; k < steps; k++) ask(a + ((b - a) * k) / steps);
  };
  let place = firstAfter(also, from);
  const between = (a: number, b: number) => {
    let last = a;
    for (; place < also.length && also[place] < b; place++) {
      if (also[place] <= last) continue;
      evenly(last, also[place]);
      ask((last = also[place]!));
    }
    evenly(last, b);
  };
  const onTo = (last: number, next: number, i: number) => {
    const peak = peaks ? peakBetween(table, i - 1) : undefined;
    if (!peak || peak.station <= last || peak.station >= next) return between(last, next);
    between(last, peak.station);
    fillFrame(own, 0, table, peak.station);
    const scale = peak.curvature / (curvatureOf(own, 0) || 1);
    for (let c = CURVATURE; c < CURVATURE + 3; c++) own[c] *= scale;
    call(own, 0, peak.station);
    between(peak.station, next);
  };
  ask(from);
  let last = from;
  let i = firstAfter(stations, from);
  for (; i < stations.length && stations[i] < to; i++) {
    onTo(last, stations[i], i);
    call(frames, i * FRAME_STRIDE, stations[i]);
    last = stations[i]!;
  }
  onTo(last, to, i);
  if (to > from) ask(to, true);
}

/**
 * The place between samples `i` and `i` + 1 at which the bend is sharpest: where the parabola of the radius through three samples of a span is
 * least. Undefined where it is sharpest at a sample.
 */
function peakBetween({ stations, frames }: FrameTable, i: number): { station: number; curvature: number } | undefined {
  const step = stations[i + 1] - stations[i];
  if (!(step > 0)) return undefined;
  for (const middle of [i, i + 1]) {
    // Where spans meet, two samples lie at one station: no three of one span.
    if (!(stations[middle] > stations[middle - 1] && stations[middle + 1] > stations[middle])) continue;
    const [a, b, c] = [-1, 0, 1].map((k) => 1 / curvatureOf(frames, (middle + k) * FRAME_STRIDE)) as [number, number, number]; // prettier-ignore
    const bow = a - 2 * b + c;
    const x = (a - c) / (2 * bow) + middle - i;
    if (!(bow > 0 && x > 0 && x < 1)) continue;
    const radius = Math.max(b - (a - c) ** 2 / (8 * bow), Math.min(a, b, c) / 2);
    return { station: stations[i] + x * step, curvature: 1 / radius };
  }
  return undefined;
}
