import { firstAfter } from '../../math/first-after';
import { eachFrameOn, reachOn } from '../../shape/frame-on';
import type { Shape } from '../../shape/shape';
import { CREASE_ANGLE } from '../../math/tolerance';
import { eachStretch, longestRow, rowFor, type RowDemand } from './plan-slices';

/** How many rows a bend needs along a stretch of path, counted from its start: fractions of rows add up. */
export interface RowDensity {
  /** Metres, never descending. */
  readonly stations: Float64Array;
  /** Rows needed from the first station to each. */
  readonly sums: Float64Array;
  /**
   * Metres from the first station to each: what a flat face across the section that twists would be off by as two triangles. One that is off by more than
   * `tolerance` gets an even number of rows, whose diagonals run one way and the other, so that it gains what it loses.
   */
  readonly twists: Float64Array;
  readonly tolerance: number;
  /** Metres: corners at which there has to be a row, and those of them that are sharp enough for an edge. */
  readonly corners: Float64Array;
  readonly edges: Float64Array;
}

/** The stretch of path that a piece comes over while the run moves: its own only, all that lies before it as well, or all there is. */
export type Passes = 'own' | 'before' | 'all';

/**
 * Rows needed on [from, to] (metres): where chords would leave the bent surface, at so many a metre; sharp corners by themselves. Corners so
 * gentle and near to each other that a row may go over several count as the bend that they make up. Pieces that come over all before
 * their own place are shorter there by as much as that is nearer to the start; where they come over everything, the densest place counts
 * everywhere, and no row can be a corner's.
 */
export function buildRowDensity(
  shape: Shape,
  [from, to]: readonly [number, number],
  { half, tolerance }: RowDemand,
  passes: Passes,
): RowDensity {
  const corners: number[] = [];
  const edges: number[] = [];
  const gentle: { station: number; rows: number }[] = [];
  const inside = shape.table.kinks.filter(({ station }) => station > from && station < to);
  const cornerReach = inside.length > 0 ? widest(shape, from, to, half) : 0;
  let densest = 0;
  inside.forEach(({ station, angle }, i) => {
    const over = ((inside[i + 1]?.station ?? to) - (inside[i - 1]?.station ?? from)) / 2;
    const rows = over / longestRow((2 * Math.tan(angle / 2)) / over, cornerReach, tolerance);
    if (passes === 'all') {
      if (angle <= CREASE_ANGLE) densest = Math.max(densest, rows / over);
      return;
    }
    if (angle > CREASE_ANGLE) edges.push(station);
    if (angle > CREASE_ANGLE || rows >= 1) corners.push(station);
    else gentle.push({ station, rows });
  });
  const stations: number[] = [from];
  const sums: number[] = [0];
  const twists: number[] = [0];
  let sum = 0;
  let twisted = 0;
  let mostTwisted = 0;
  let most = 0; // of rows a metre times metres from the start
  let next = 0;
  eachStretch(shape, [from, to], half, (bends, start, end) => {
    let perMetre = 1 / rowFor(bends, tolerance);
    if (passes === 'before') {
      most = Math.max(most, perMetre * (end - from));
      perMetre = Math.max(perMetre, most / (end - from));
    }
    densest = Math.max(densest, perMetre);
    sum += perMetre * (end - start);
    mostTwisted = Math.max(mostTwisted, (bends.twist * bends.reach) / 2);
    twisted += (bends.twist * bends.reach * (end - start)) / 2;
    stations.push(end);
    sums.push(sum);
    twists.push(twisted);
    for (; next < gentle.length && gentle[next].station <= end; next++) {
      sum += gentle[next].rows;
      stations.push(end);
      sums.push(sum);
      twists.push(twisted);
    }
  });
  if (passes === 'all') {
    return {
      stations: Float64Array.of(from, to),
      sums: Float64Array.of(0, densest * (to - from)),
      twists: Float64Array.of(0, mostTwisted * (to - from)),
      tolerance,
      corners: new Float64Array(),
      edges: new Float64Array(),
    };
  }
  return {
    stations: Float64Array.from(stations),
    sums: Float64Array.from(sums),
    twists: Float64Array.from(twists),
    tolerance,
    corners: Float64Array.from(corners),
    edges: Float64Array.from(edges),
  };
}

/** Metres: how far the section reaches from the path anywhere on a stretch. */
function widest(shape: Shape, from: number, to: number, half: number): number {
  let most = 0;
  eachFrameOn(shape, from, to, (f) => (most = Math.max(most, reachOn(f, half))));
  return most;
}

type Rows = Pick<RowDensity, 'stations' | 'sums'>;

/** Rows needed from the density's start to a station. */
export const rowsTo = ({ stations, sums }: Rows, station: number): number => upTo(stations, sums, station);

/** So many rows between two stations, one more where they have to be even: see {@link RowDensity}. */
export function evenIfTwisted(
  { stations, twists, tolerance }: RowDensity,
  from: number,
  to: number,
  count: number,
): number {
  const twisted = upTo(stations, twists, to) - upTo(stations, twists, from);
  return twisted > tolerance ? count + (count % 2) : count;
}

/** What has come together up to a station. */
function upTo(stations: Float64Array, sums: Float64Array, station: number): number {
  const i = firstAfter(stations, station);
  if (i === 0) return 0;
  if (i === stations.length) return sums[i - 1];
  const gap = stations[i] - stations[i - 1];
  return sums[i - 1] + ((sums[i] - sums[i - 1]) * (station - stations[i - 1])) / gap;
}

/** Where no rows are looked for. */
export const NO_ROWS: RowDensity = {
  stations: Float64Array.of(0),
  sums: Float64Array.of(0),
  twists: Float64Array.of(0),
  tolerance: Infinity,
  corners: new Float64Array(),
  edges: new Float64Array(),
};

/** The most rows a metre anywhere between two stations. */
export function densest({ stations, sums }: Rows, from: number, to: number): number {
  let most = 0;
  for (let i = Math.max(firstAfter(stations, from), 1); i < stations.length && stations[i - 1] < to; i++) {
    const gap = stations[i] - stations[i - 1];
    if (gap > 0) most = Math.max(most, (sums[i] - sums[i - 1]) / gap);
  }
  return most;
}

/** Stations between two that part what lies there into `count` rows of equal need. */
export function equalRows(density: Rows, from: number, to: number, count: number): number[] {
  const { stations, sums } = density;
  const [start, end] = [rowsTo(density, from), rowsTo(density, to)];
  const found: number[] = [];
  let i = Math.max(firstAfter(stations, from), 1);
  for (let k = 1; k < count; k++) {
    const wanted = start + ((end - start) * k) / count;
    while (i + 1 < sums.length && sums[i] < wanted) i++;
    const [a, b] = [sums[i - 1], sums[i]];
    const t = b > a ? Math.min(Math.max((wanted - a) / (b - a), 0), 1) : 0;
    found.push(stations[i - 1] + t * (stations[i] - stations[i - 1]));
  }
  return found;
}

/** The density with more stations at which there has to be a row, metres. */
export const withCorners = (density: RowDensity, stations: readonly number[]): RowDensity =>
  stations.length === 0
    ? density
    : { ...density, corners: Float64Array.from([...density.corners, ...stations]).sort() };
