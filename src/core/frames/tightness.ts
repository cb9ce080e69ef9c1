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
  eachFrame(table, from, to, (frames, at, station) => {
    const k = curvatureOf(frames, at);
    if (k > 1e-9 && 1 / k < best.radius) best = { radius: 1 / k, station };
  });
  return best;
}

/**
 * Calls back with the frame at both ends of [from, to] (metres) and with every sample between; where those are farther apart than `most`
 * metres, with frames between them too. Stations never descend, and go on beyond a closed path's seam.
 */
export function eachFrame(
  table: FrameTable,
  from: number,
  to: number,
  call: (frames: Float64Array, at: number, station: number) => void,
  most = Infinity,
): void {
  const { stations, frames, closed, length } = table;
  if (closed && to > length && from < length) {
    eachFrame(table, from, length, call, most);
    eachFrame(table, 0, Math.min(to - length, length), (f, at, station) => call(f, at, station + length), most);
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
  ask(from);
  let last = from;
  for (let i = firstAfter(stations, from); i < stations.length && stations[i]! < to; i++) {
    between(last, stations[i]!);
    call(frames, i * FRAME_STRIDE, stations[i]!);
    last = stations[i]!;
  }
  between(last, to);
  if (to > from) ask(to, true);
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
