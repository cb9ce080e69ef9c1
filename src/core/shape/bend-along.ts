import { curvatureOf, eachFrame } from '../frames/each-frame';
import { CURVATURE, FORWARD, FRAME_STRIDE, SIDE, type FrameTable, type Kink } from '../frames/frame-table';
import { firstAfter } from '../math/first-after';
import { CREASE_ANGLE } from '../math/tolerance';

/** How a path bends, looked at from station to station. All arrays have one entry a place. */
export interface BendAlong {
  /** Metres, never descending. */
  readonly stations: readonly number[];
  /** Radians from the start on: how far the path has turned to the right of its frames. */
  readonly turned: readonly number[];
  /** 1/m, never negative. */
  readonly curvature: readonly number[];
}

/** Places at most `most` metres apart, with every sample of the table and its corners, which turn on the spot. */
export function bendAlong(table: FrameTable, most: number): BendAlong {
  const [stations, turned, curvature]: [number[], number[], number[]] = [[], [], []];
  const { kinks, frames: samples, length } = table;
  let [sum, before, k] = [0, 0, 0];
  const put = (station: number, bend: number) => {
    stations.push(station);
    turned.push(sum);
    curvature.push(bend);
  };
  const look = (frames: Float64Array, at: number, station: number) => {
    const right = [0, 1, 2].reduce((dot, c) => dot + frames[at + CURVATURE + c] * frames[at + SIDE + c], 0);
    const last = stations.at(-1) ?? 0;
    sum += ((before + right) / 2) * (station - last);
    put(station, curvatureOf(frames, at));
    before = right;
    const kink = kinks[k];
    if (!kink || kink.station !== station) return;
    k++;
    const [on, across] = [FORWARD, SIDE].map((axis) => along(samples, kink, axis)) as [number, number];
    sum += Math.atan2(across, on);
    put(station, kink.angle < CREASE_ANGLE ? curvature.at(-1)! : Infinity);
  };
  eachFrame(table, 0, length, look, { most });
  return { stations, turned, curvature };
}

/** The forward behind a corner, along an axis of the frame before it. */
const along = (samples: Float64Array, { before, after }: Kink, axis: number): number =>
  [0, 1, 2].reduce((dot, c) => dot + samples[after * FRAME_STRIDE + FORWARD + c] * samples[before * FRAME_STRIDE + axis + c], 0); // prettier-ignore

/** The value at a station, straight between the places; level beyond them. */
export function readAlong(stations: ArrayLike<number>, values: ArrayLike<number>, station: number): number {
  const i = firstAfter(stations, station);
  if (i === 0) return values[0];
  if (i === stations.length) return values[i - 1];
  const share = (station - stations[i - 1]) / (stations[i] - stations[i - 1]);
  return values[i - 1] + share * (values[i] - values[i - 1]);
}
