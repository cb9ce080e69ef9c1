import { curvatureOf, eachFrame } from '../frames/each-frame';
import type { FrameTable } from '../frames/frame-table';

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
