import { CURVATURE, FRAME_STRIDE, type FrameTable } from './frame-table';

/** Curvature at sample i, 1/m. */
export function curvatureAt(table: FrameTable, sample: number): number {
  const at = sample * FRAME_STRIDE + CURVATURE;
  const x = table.frames[at]!;
  const y = table.frames[at + 1]!;
  const z = table.frames[at + 2]!;
  return Math.sqrt(x * x + y * y + z * z);
}

export interface Tightest {
  /** Metres; Infinity on a straight path, 0 at a sharp corner. */
  readonly radius: number;
  readonly station: number;
}

/** The smallest radius on [from, to] (metres) and where it is. */
export function tightest(table: FrameTable, from = 0, to = table.length): Tightest {
  let best = { radius: Infinity, station: from };
  for (const { station } of table.kinks) {
    if (station >= from && station <= to) return { radius: 0, station };
  }
  const last = Math.min(Math.floor(to / table.step + 1e-9), table.intervals);
  for (let i = Math.max(Math.ceil(from / table.step - 1e-9), 0); i <= last; i++) {
    const k = curvatureAt(table, i);
    if (k > 1e-9 && 1 / k < best.radius) best = { radius: 1 / k, station: i * table.step };
  }
  return best;
}
