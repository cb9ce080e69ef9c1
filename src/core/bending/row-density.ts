import { FLARE, GAUGE, TWIST, type FrameTable } from '../frames/frame-table';
import { curvatureOf, eachFrame, firstAfter } from '../frames/tightness';
import { CREASE_ANGLE } from '../math/tolerance';
import { longestRow, rowFor, type RowDemand } from '../segment/plan-slices';

/** How many rows a bend needs along a stretch of path, counted from its start: fractions of rows add up. */
export interface RowDensity {
  /** Metres, never descending. */
  readonly stations: Float64Array;
  /** Rows needed from the first station to each. */
  readonly sums: Float64Array;
  /** Metres: corners at which there has to be a row, and those of them that are sharp enough for an edge. */
  readonly corners: Float64Array;
  readonly edges: Float64Array;
}

/**
 * Rows needed on [from, to] (metres): where chords would leave the bent surface, at so many a metre; sharp corners by themselves. Corners so
 * gentle and near to each other that a row may go over several count as the bend that they make up. `isGrowing`: pieces come over all of the
 * path before their own place, shorter by as much as they are nearer to the start.
 */
export function buildRowDensity(
  table: FrameTable,
  from: number,
  to: number,
  bend: RowDemand,
  isGrowing: boolean,
): RowDensity {
  const corners: number[] = [];
  const edges: number[] = [];
  const gentle: { station: number; rows: number }[] = [];
  const inside = table.kinks.filter(({ station }) => station > from && station < to);
  inside.forEach(({ station, angle }, i) => {
    const over = ((inside[i + 1]?.station ?? to) - (inside[i - 1]?.station ?? from)) / 2;
    const rows = over / longestRow((2 * Math.tan(angle / 2)) / over, bend.offset, bend.tolerance);
    if (angle > CREASE_ANGLE) edges.push(station);
    if (angle > CREASE_ANGLE || rows >= 1) corners.push(station);
    else gentle.push({ station, rows });
  });
  const stations: number[] = [];
  const sums: number[] = [];
  let sum = 0;
  let most = 0; // of rows a metre times metres from the start
  let before = { station: from, bend: 0, gauge: 0, twist: 0, flare: 0 };
  let next = 0;
  eachFrame(table, from, to, (f, at, station) => {
    const now = {
      station,
      bend: curvatureOf(f, at),
      gauge: f[at + GAUGE]!,
      twist: Math.abs(f[at + TWIST]! + bend.twist),
      flare: f[at + FLARE]!,
    };
    const gap = station - before.station;
    if (gap > 0) {
      const larger = (key: 'bend' | 'gauge' | 'twist') => Math.max(before[key], now[key]);
      const swell = Math.abs(now.flare - before.flare) / gap;
      let perMetre = 1 / rowFor(larger('bend'), larger('gauge'), larger('twist'), swell, bend);
      if (isGrowing) {
        most = Math.max(most, perMetre * (station - from));
        perMetre = Math.max(perMetre, most / (station - from));
      }
      sum += perMetre * gap;
    }
    stations.push(station);
    sums.push(sum);
    for (; next < gentle.length && gentle[next]!.station <= station; next++) {
      sum += gentle[next]!.rows;
      stations.push(station);
      sums.push(sum);
    }
    before = now;
  });
  return {
    stations: Float64Array.from(stations),
    sums: Float64Array.from(sums),
    corners: Float64Array.from(corners),
    edges: Float64Array.from(edges),
  };
}

type Rows = Pick<RowDensity, 'stations' | 'sums'>;

/** Rows needed from the density's start to a station. */
export function rowsTo({ stations, sums }: Rows, station: number): number {
  const i = firstAfter(stations, station);
  if (i === 0) return 0;
  if (i === stations.length) return sums[i - 1]!;
  const gap = stations[i]! - stations[i - 1]!;
  return sums[i - 1]! + ((sums[i]! - sums[i - 1]!) * (station - stations[i - 1]!)) / gap;
}

/** Where no rows are looked for. */
export const NO_ROWS: RowDensity = {
  stations: Float64Array.of(0),
  sums: Float64Array.of(0),
  corners: new Float64Array(),
  edges: new Float64Array(),
};

/** The most rows a metre anywhere between two stations. */
export function densest({ stations, sums }: Rows, from: number, to: number): number {
  let most = 0;
  for (let i = Math.max(firstAfter(stations, from), 1); i < stations.length && stations[i - 1]! < to; i++) {
    const gap = stations[i]! - stations[i - 1]!;
    if (gap > 0) most = Math.max(most, (sums[i]! - sums[i - 1]!) / gap);
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
    while (i + 1 < sums.length && sums[i]! < wanted) i++;
    const [a, b] = [sums[i - 1]!, sums[i]!];
    const t = b > a ? Math.min(Math.max((wanted - a) / (b - a), 0), 1) : 0;
    found.push(stations[i - 1]! + t * (stations[i]! - stations[i - 1]!));
  }
  return found;
}
