import { assertNever } from '../math/assert-never';
import type { BendingSpec } from '../bending/bending-spec';
import { FLARE, FRAME_STRIDE, GAUGE, TWIST, type FrameTable } from '../frames/frame-table';
import { curvatureAt } from '../frames/tightness';
import type { PreparedSegment } from './prepare';

/** Slices along one piece at the most. */
export const MAX_SLICES = 4096;

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
export function askedPlanes(slicing: Exclude<BendingSpec['slicing'], { by: 'auto' }>, length: number): Float64Array {
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

/** How finely a stretch of path asks for rows, metres between rows. Sharp corners count as half the width. */
export function neededRow(
  table: FrameTable,
  from: number,
  to: number,
  bend: { readonly offset: number; readonly tolerance: number; readonly twist: number },
): number {
  const f = table.frames;
  let sharpest = 0;
  let gauge = 0;
  let twist = 0;
  let swell = 0; // how fast the flare changes
  const first = Math.floor(from / table.step);
  const last = Math.ceil(to / table.step);
  const wrap = (i: number) => (table.closed ? ((i % table.intervals) + table.intervals) % table.intervals : i);
  for (let i = first; i <= last; i++) {
    const k = wrap(i);
    if (k < 0 || k > table.intervals) continue;
    const at = k * FRAME_STRIDE;
    sharpest = Math.max(sharpest, curvatureAt(table, k));
    gauge = Math.max(gauge, f[at + GAUGE]!);
    twist = Math.max(twist, Math.abs(f[at + TWIST]! + bend.twist));
    if (k < table.intervals)
      swell = Math.max(swell, Math.abs(f[at + FRAME_STRIDE + FLARE]! - f[at + FLARE]!) / table.step);
  }
  const offset = bend.offset * (gauge || 1);
  sharpest = Math.min(sharpest, 4 / Math.max(offset, 1e-6));
  return Math.min(
    longestRow(sharpest, offset, bend.tolerance),
    longestTwistedRow(twist, offset, bend.tolerance),
    swell * bend.offset > 1e-9 ? Math.sqrt((8 * bend.tolerance) / (swell * bend.offset)) : Infinity,
  );
}

/** The planes that part a segment into `2 ** level` equal rows. */
export function evenPlanes(length: number, count: number): Float64Array {
  return Float64Array.from({ length: count - 1 }, (_, i) => (length * (i + 1)) / count);
}

/**
 * Planes that halve [0, length] again and again until every row is as short as `needed` asks for on it. `needed` takes and
 * gives metres along the segment.
 */
export function adaptivePlanes(length: number, needed: (x0: number, x1: number) => number): Float64Array {
  const planes: number[] = [];
  const halve = (x0: number, x1: number, depth: number): void => {
    if (depth >= 12 || x1 - x0 <= needed(x0, x1)) return;
    const middle = (x0 + x1) / 2;
    halve(x0, middle, depth + 1);
    planes.push(middle);
    halve(middle, x1, depth + 1);
  };
  halve(0, length, 0);
  return Float64Array.from(planes);
}

/** Leaves out the planes that only cross triangles already shorter along x than `row` metres. */
export function usefulPlanes(segment: PreparedSegment, planes: Float64Array, row: number): Float64Array {
  const { positions: p, indices } = segment.mesh;
  const wanted = new Uint8Array(planes.length);
  for (let i = 0; i < indices.length; i += 3) {
    const a = p[indices[i]! * 3]!;
    const b = p[indices[i + 1]! * 3]!;
    const c = p[indices[i + 2]! * 3]!;
    const low = Math.min(a, b, c);
    const high = Math.max(a, b, c);
    if (high - low <= row * 1.001) continue;
    for (let k = firstAbove(planes, low); k < planes.length && planes[k]! < high; k++) wanted[k] = 1;
  }
  return planes.filter((_, k) => wanted[k] === 1);
}

function firstAbove(planes: Float64Array, x: number): number {
  let low = 0;
  let high = planes.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (planes[middle]! > x) high = middle;
    else low = middle + 1;
  }
  return low;
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
