import { assertNever } from '../math/assert-never';
import { FLARE, GAUGE, TWIST, type FrameTable } from '../frames/frame-table';
import { curvatureOf, eachFrame } from '../frames/tightness';
import type { PreparedSegment } from './prepared-segment';
import { MAX_SLICES, type SlicingSpec } from './slicing-spec';

/**
 * Longest row, in metres along the path, whose chord stays within `tolerance` of the surface at `offset` metres from a path
 * of the given curvature: 2 acos(1 - tolerance / (R + offset)) R. Infinite where the path is straight.
 */
export function longestRow(curvature: number, offset: number, tolerance: number): number {
  if (curvature <= 1e-9) return Infinity;
  const radius = 1 / curvature;
  return 2 * Math.acos(Math.max(1 - tolerance / (radius + offset), -1)) * radius;
}

/** Row length on which roll turns so far that a straight edge at `offset` would leave the twisted surface by `tolerance`. */
export function longestTwistedRow(twistPerMetre: number, offset: number, tolerance: number): number {
  const turn = Math.abs(twistPerMetre);
  return turn * offset <= 1e-9 ? Infinity : (2 * Math.acos(Math.max(1 - tolerance / offset, -1))) / turn;
}

/** The planes of slicing that was asked for by hand. */
export function askedPlanes(slicing: Exclude<SlicingSpec, { by: 'auto' }>, length: number): Float64Array {
  switch (slicing.by) {
    case 'rows':
      return evenPlanes(length, slicing.rows);
    case 'spacing':
      return evenPlanes(length, Math.min(Math.max(Math.ceil(length / slicing.spacing - 1e-9), 1), MAX_SLICES));
    case 'at':
      return Float64Array.from(slicing.at)
        .filter((x) => x > 0 && x < length)
        .sort();
    case 'off':
      return new Float64Array();
    default:
      return assertNever(slicing);
  }
}

/** The longest stretch along a segment between planes, or its own longest row where that is shorter; metres. */
export const longestAsked = (own: number, planes: Float64Array, length: number): number =>
  Math.min(own, Math.max(...[...planes, length].map((x, i) => x - (i > 0 ? planes[i - 1]! : 0))));

/** What a bend asks of rows: how far the section reaches, metres, what chords may be off by, and twist besides the table's own. */
export interface RowDemand {
  readonly offset: number;
  readonly tolerance: number;
  readonly twist: number;
}

/** The longest row that a bend bears on a stretch whose greatest curvature, gauge, twist and change of flare are known; metres. */
export function rowFor(
  sharpest: number,
  gauge: number,
  twist: number,
  swell: number,
  { offset, tolerance }: RowDemand,
): number {
  return Math.min(
    longestRow(sharpest, offset * gauge, tolerance),
    longestTwistedRow(twist, offset * gauge, tolerance),
    swell * offset > 1e-9 ? Math.sqrt((8 * tolerance) / (swell * offset)) : Infinity,
  );
}

/** How finely a stretch of path asks for rows at its worst, metres between rows. Bends far tighter than the section count as a quarter of it. */
export function neededRow(table: FrameTable, from: number, to: number, bend: RowDemand): number {
  let [sharpest, gauge, twist, swell] = [0, 0, 0, 0];
  let [last, flare] = [from, 0];
  eachFrame(table, from, to, (f, at, station) => {
    sharpest = Math.max(sharpest, curvatureOf(f, at));
    gauge = Math.max(gauge, f[at + GAUGE]!);
    twist = Math.max(twist, Math.abs(f[at + TWIST]! + bend.twist));
    const gap = station - last;
    if (gap > 0) swell = Math.max(swell, Math.abs(f[at + FLARE]! - flare) / gap); // how fast the flare changes
    [last, flare] = [station, f[at + FLARE]!];
  });
  return rowFor(Math.min(sharpest, 4 / Math.max(bend.offset * gauge, 1e-6)), gauge, twist, swell, bend);
}

/** The planes that part a segment into `2 ** level` equal rows. */
export function evenPlanes(length: number, count: number): Float64Array {
  return Float64Array.from({ length: count - 1 }, (_, i) => (length * (i + 1)) / count);
}

/** Longest stretch along x that any triangle spans: the row length that the segment has as it is. */
export function ownRow({ mesh: { positions: p, indices } }: PreparedSegment): number {
  let most = 0;
  for (let i = 0; i < indices.length; i += 3) {
    const a = p[indices[i]! * 3]!;
    const b = p[indices[i + 1]! * 3]!;
    const c = p[indices[i + 2]! * 3]!;
    most = Math.max(most, Math.max(a, b, c) - Math.min(a, b, c));
  }
  return most;
}
