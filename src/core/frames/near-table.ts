import { NEAR_ORIGIN } from '../math/tolerance';
import type { Vec3 } from '../math/vec3';
import { fillFrame } from './fill-frame';
import { FRAME_STRIDE, type FrameTable } from './frame-table';
import { stationsOf } from './sample-curve';

/** Whole metres from where places within boxes are to count: nowhere else where all of it is near the world's origin. */
export function originFor(low: Float64Array, high: Float64Array): Vec3 {
  if ([...low, ...high].every((v) => Math.abs(v) <= NEAR_ORIGIN)) return [0, 0, 0];
  return [0, 1, 2].map((c) => Math.round((low[c] + high[c]) / 2)) as unknown as Vec3;
}

/** The table of a path of which a part is laid, from one station to another, metres: places count from the middle of that. */
export function nearTable(table: FrameTable, from: number, to: number): FrameTable {
  if (to - from >= table.length * (1 - 1e-9)) return table;
  const { frames, spans, length, closed } = table;
  const stations = stationsOf(spans);
  const place = new Float64Array(FRAME_STRIDE);
  const [low, high] = [new Float64Array(3).fill(Infinity), new Float64Array(3).fill(-Infinity)];
  const take = (of: Float64Array, at: number) => {
    for (let c = 0; c < 3; c++) {
      low[c] = Math.min(low[c], of[at + c]);
      high[c] = Math.max(high[c], of[at + c]);
    }
  };
  for (const station of [from, to]) {
    fillFrame(place, 0, table, station);
    take(place, 0);
  }
  const rounds = closed ? [0, length, -length] : [0];
  stations.forEach((station, i) => {
    if (rounds.some((round) => station + round >= from && station + round <= to)) take(frames, i * FRAME_STRIDE);
  });
  const origin = originFor(low, high);
  return origin.every((v, c) => v === table.origin[c]) ? table : { ...table, origin };
}
