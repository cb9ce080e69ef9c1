import { fillFrame } from './fill-frame';
import { CURVATURE, FRAME_STRIDE, type FrameTable } from './frame-table';

/** Curvature of the frame at `at`, 1/m. */
export function curvatureOf(frames: Float64Array, at: number): number {
  const x = frames[at + CURVATURE]!;
  const y = frames[at + CURVATURE + 1]!;
  const z = frames[at + CURVATURE + 2]!;
  return Math.sqrt(x * x + y * y + z * z);
}

export interface Tightest {
  /** Metres; Infinity on a straight path, 0 at a sharp corner. */
  readonly radius: number;
  readonly station: number;
}

/** The smallest radius on [from, to] (metres) and where it is. */
export function tightest(table: FrameTable, from = 0, to = table.length): Tightest {
  for (const { station } of table.kinks) {
    if (station >= from && station <= to) return { radius: 0, station };
  }
  let best = { radius: Infinity, station: from };
  const look = (frames: Float64Array, at: number, station: number) => {
    const k = curvatureOf(frames, at);
    if (k > 1e-9 && 1 / k < best.radius) best = { radius: 1 / k, station };
  };
  eachFrame(table, from, to, look, { peaks: true });
  return best;
}

export interface EachOptions {
  /** Metres that frames may be apart. Default: as far as samples are. */
  readonly most?: number;
  /** Whether places between samples at which the bend is sharpest count too; else up to a hundredth of its curvature is missed. */
  readonly peaks?: boolean;
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
  const { most = Infinity, peaks = false } = options;
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
  const between = (a: number, b: number) => {
    const steps = Math.ceil((b - a) / most);
    for (let k = 1; k < steps; k++) ask(a + ((b - a) * k) / steps);
  };
  const onTo = (last: number, next: number, i: number) => {
    const peak = peaks ? peakBetween(table, i - 1) : undefined;
    if (!peak || peak.station <= last || peak.station >= next) return between(last, next);
    between(last, peak.station);
    fillFrame(own, 0, table, peak.station);
    const scale = peak.curvature / (curvatureOf(own, 0) || 1);
    for (let c = CURVATURE; c < CURVATURE + 3; c++) own[c]! *= scale;
    call(own, 0, peak.station);
    between(peak.station, next);
  };
  ask(from);
  let last = from;
  let i = firstAfter(stations, from);
  for (; i < stations.length && stations[i]! < to; i++) {
    onTo(last, stations[i]!, i);
    call(frames, i * FRAME_STRIDE, stations[i]!);
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
  const step = stations[i + 1]! - stations[i]!;
  if (!(step > 0)) return undefined;
  for (const middle of [i, i + 1]) {
    // Where spans meet, two samples lie at one station: no three of one span.
    if (!(stations[middle]! > stations[middle - 1]! && stations[middle + 1]! > stations[middle]!)) continue;
    const [a, b, c] = [-1, 0, 1].map((k) => 1 / curvatureOf(frames, (middle + k) * FRAME_STRIDE)) as [number, number, number]; // prettier-ignore
    const bow = a - 2 * b + c;
    const x = (a - c) / (2 * bow) + middle - i;
    if (!(bow > 0 && x > 0 && x < 1)) continue;
    const radius = Math.max(b - (a - c) ** 2 / (8 * bow), Math.min(a, b, c) / 2);
    return { station: stations[i]! + x * step, curvature: 1 / radius };
  }
  return undefined;
}

/** Number of the first sample beyond a station. */
export function firstAfter(stations: ArrayLike<number>, station: number): number {
  let low = 0;
  let high = stations.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (stations[middle]! > station) high = middle;
    else low = middle + 1;
  }
  return low;
}
