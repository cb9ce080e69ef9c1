import { assertNever } from '../../math/assert-never';
import { curvatureOf } from '../../frames/each-frame';
import { TWIST } from '../../frames/frame-table';
import { eachFrameOn, GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP, reachOn, SLOPE } from '../../shape/frame-on';
import type { Shape } from '../../shape/shape';
import type { PreparedSegment } from '../prepared-segment';
import { MAX_SLICES, type SlicingSpec } from '../slicing-spec';

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
function longestTwistedRow(twistPerMetre: number, offset: number, tolerance: number): number {
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
  Math.min(own, Math.max(...[...planes, length].map((x, i) => x - (i > 0 ? planes[i - 1] : 0))));

/** What rows keep to: how far the section reaches before gauge and offset, and what chords may be off by, metres. */
export interface RowDemand {
  readonly half: number;
  readonly tolerance: number;
}

/** What a stretch of a shape has at the most. */
export interface Bends {
  /** 1/m. */
  readonly curvature: number;
  /** Metres that the section reaches from the path. */
  readonly reach: number;
  /** Radians per metre, never negative. */
  readonly twist: number;
  /** 1/m: how fast the slope of the outline changes because gauge and offset do. */
  readonly swell: number;
}

/** The longest row that a bend bears, metres. */
export const rowFor = ({ curvature, reach, twist, swell }: Bends, tolerance: number): number =>
  Math.min(
    longestRow(curvature, reach, tolerance),
    longestTwistedRow(twist, reach, tolerance),
    swell > 1e-9 ? Math.sqrt((8 * tolerance) / swell) : Infinity,
  );

/** Of a run: a slope that jumps is taken to change over no less. */
const SHORTEST = 1 / 2000;

/** What each stretch between neighbouring frames of a shape over [from, to] has; `from` and `to` in metres. */
export function eachStretch(
  shape: Shape,
  [from, to]: readonly [number, number],
  half: number,
  call: (bends: Bends, from: number, to: number) => void,
): void {
  let before = { curvature: 0, reach: 0, twist: 0, slopes: [0, 0, 0, 0] };
  let last = from;
  const shortest = (to - from) * SHORTEST;
  eachFrameOn(shape, from, to, (f, station) => {
    const now = {
      curvature: curvatureOf(f, 0),
      reach: reachOn(f, half),
      twist: Math.abs(f[TWIST]),
      slopes: [GAUGE_UP, GAUGE_SIDE, OFFSET_UP, OFFSET_SIDE].map((k) => f[k + SLOPE]),
    };
    const gap = station - last;
    if (gap > 0) {
      const changes = now.slopes.map((slope, k) => Math.abs(slope - before.slopes[k]) / Math.max(gap, shortest));
      const swell = Math.max(changes[0], changes[1]) * half + Math.hypot(changes[2], changes[3]);
      const larger = (key: 'curvature' | 'reach' | 'twist') => Math.max(before[key], now[key]);
      call({ curvature: larger('curvature'), reach: larger('reach'), twist: larger('twist'), swell }, last, station);
    }
    [before, last] = [now, station];
  });
}

/** How finely a stretch of path asks for rows at its worst, metres between rows. Bends far tighter than the section count as a quarter of it. */
export function neededRow(shape: Shape, from: number, to: number, { half, tolerance }: RowDemand): number {
  let [curvature, reach, twist, swell] = [0, 0, 0, 0];
  eachStretch(shape, [from, to], half, (bends) => {
    curvature = Math.max(curvature, bends.curvature);
    reach = Math.max(reach, bends.reach);
    twist = Math.max(twist, bends.twist);
    swell = Math.max(swell, bends.swell);
  });
  return rowFor({ curvature: Math.min(curvature, 4 / Math.max(reach, 1e-6)), reach, twist, swell }, tolerance);
}

/** The planes that part a segment into `2 ** level` equal rows. */
export function evenPlanes(length: number, count: number): Float64Array {
  return Float64Array.from({ length: count - 1 }, (_, i) => (length * (i + 1)) / count);
}

/** Longest stretch along x that any triangle spans: the row length that the segment has as it is. */
export function ownRow({ mesh: { positions: p, indices } }: PreparedSegment): number {
  let most = 0;
  for (let i = 0; i < indices.length; i += 3) {
    const a = p[indices[i] * 3];
    const b = p[indices[i + 1] * 3];
    const c = p[indices[i + 2] * 3];
    most = Math.max(most, Math.max(a, b, c) - Math.min(a, b, c));
  }
  return most;
}
