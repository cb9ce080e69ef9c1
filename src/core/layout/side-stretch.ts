import { CURVATURE, SIDE } from '../frames/frame-table';
import { eachFrameOn, GAUGE_SIDE } from '../shape/frame-on';
import { readAlong } from '../shape/bend-along';
import type { Shape } from '../shape/shape';
import type { Placement } from './placement';

/** How far a piece's section goes to either side of the path, metres: left is negative. */
export interface Sides {
  readonly left: number;
  readonly right: number;
}

/**
 * How long each piece is at its side towards the bend and at the one away from it, over its natural length: two numbers a piece. At distance z to the
 * right of the path a bend of curvature k to the right makes lengths 1 - k z times as long (elementary); integrated over the piece.
 */
export function sideStretches(
  placements: readonly Placement[],
  shape: Shape,
  sidesOf: (placement: Placement) => Sides,
): Float32Array {
  const out = new Float32Array(placements.length * 2);
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
    const { station, length, stretch } = placement;
    const turned = readAlong(stations, bends, station + length) - readAlong(stations, bends, station);
    const { left, right } = sidesOf(placement);
    const edges = [left, right].map((z) => stretch * (1 - (turned * z) / (length || 1)));
    out[i * 2] = Math.min(...edges);
    out[i * 2 + 1] = Math.max(...edges);
  });
  return out;
}

/** The first and the last of many: what is least or greatest of them need not be looked for among all. */
const spread = (placements: readonly Placement[], of: (placement: Placement) => number): readonly number[] => [
  of(placements[0]),
  of(placements[placements.length - 1]),
];
