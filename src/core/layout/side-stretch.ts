import { CURVATURE, SIDE } from '../frames/frame-table';
import { eachFrameOn, GAUGE_SIDE } from '../shape/frame-on';
import { readAlong } from '../shape/bend-along';
import type { Shape } from '../shape/shape';
import type { Placement } from './placement';

/** Numbers a piece: on the path, at its side towards the bend, and at the one away from it. */
export const SIDES_STRIDE = 3;

/** How a piece lies: laid over natural length on the path, and how far its section goes to either side of it, metres: left is negative. */
export interface Sides {
  readonly axis: number;
  readonly left: number;
  readonly right: number;
}

/**
 * How long each piece is on the path and at its two sides, over its natural length; see {@link SIDES_STRIDE}. At distance z to the
 * right of the path a bend of curvature k to the right makes lengths 1 - k z times as long (elementary); integrated over the piece.
 */
export function sideStretches(
  placements: readonly Placement[],
  shape: Shape,
  sidesOf: (placement: Placement) => Sides,
): Float32Array {
  const out = new Float32Array(placements.length * SIDES_STRIDE);
  if (placements.length === 0) return out;
  const [stations, bends]: [number[], number[]] = [[], []];
  let [sum, before] = [0, 0];
  const from = Math.min(...spread(placements, ({ station }) => station));
  const to = Math.max(...spread(placements, ({ station, length }) => station + length));
  eachFrameOn(shape, from, to, (frame, station) => {
    const right = [0, 1, 2].reduce((dot, c) => dot + frame[CURVATURE + c] * frame[SIDE + c], 0) * frame[GAUGE_SIDE];
    sum += stations.length > 0 ? ((before + right) / 2) * (station - stations.at(-1)!) : 0;
    before = right;
    stations.push(station);
    bends.push(sum);
  });
  placements.forEach((placement, i) => {
    const { station, length } = placement;
    const turned = readAlong(stations, bends, station + length) - readAlong(stations, bends, station);
    const { axis, left, right } = sidesOf(placement);
    const edges = [left, right].map((z) => axis * (1 - (turned * z) / (length || 1)));
    out[i * SIDES_STRIDE] = axis;
    out[i * SIDES_STRIDE + 1] = Math.min(...edges);
    out[i * SIDES_STRIDE + 2] = Math.max(...edges);
  });
  return out;
}

/** The first and the last of many: what is least or greatest of them need not be looked for among all. */
const spread = (placements: readonly Placement[], of: (placement: Placement) => number): readonly number[] => [
  of(placements[0]),
  of(placements[placements.length - 1]),
];
