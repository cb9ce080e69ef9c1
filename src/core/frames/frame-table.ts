import type { ArcTable } from '../curve/arc-table';
import type { Vec3 } from '../math/vec3';

/**
 * Numbers per sample: position xyz, forward xyz, up xyz, side xyz, curvature vector xyz (1/m) and twist (radians per metre
 * by which up turns about forward beyond least twist).
 */
export const FRAME_STRIDE = 16;
export const FORWARD = 3;
export const UP = 6;
export const SIDE = 9;
export const CURVATURE = 12;
export const TWIST = 15;

/** A place where the path turns on the spot. */
export interface Kink {
  /** Metres. */
  readonly station: number;
  /** Radians. */
  readonly angle: number;
  /** The samples on either side of it; of a closed path's seam the last and the first. */
  readonly before: number;
  readonly after: number;
  /** Up and side as they are in the plane that bisects the corner: square to neither leg, and longer on the outer side. */
  readonly up: Vec3;
  readonly side: Vec3;
  /** Of an end that lies flush with a surface, which need not be at a sample: the frame there, laid out as a sample. */
  readonly own?: Float64Array;
}

/** Stations (metres) between which an upright path came too near to its up direction and was carried over the gap. */
export type SteepReach = readonly [number, number];

/**
 * How samples lie along a path: in spans, each with an equal step and a sample at either end. Where two spans meet both have one there,
 * so that nothing is ever blended across a corner or a jump of curvature. Three arrays with one entry a span, and one more.
 */
export interface Spans {
  /** Metres: where each begins; the last entry is the length. */
  readonly starts: Float64Array;
  /** The curve's u there. */
  readonly params: Float64Array;
  /** Number of its first sample; the last entry is the number of all. */
  readonly firsts: Uint32Array;
}

/** A path as frames: all that laying, bending and the checks read. */
export interface FrameTable {
  /** The curve itself, for places that have to be exact. */
  readonly arc: ArcTable;
  readonly closed: boolean;
  readonly spans: Spans;
  /** Metres: of every sample, never descending. */
  readonly stations: Float64Array;
  /** Flat samples, see {@link FRAME_STRIDE}. */
  readonly frames: Float64Array;
  /** Metres along the path, and seen from above. */
  readonly length: number;
  readonly planLength: number;
  /** Metres: the station of every path point. */
  readonly pointStations: Float64Array;
  readonly kinks: readonly Kink[];
  /** Radians that a closed path's frames were turned by, evenly over the length, so that they close. */
  readonly closingTwist: number;
  readonly steep: readonly SteepReach[];
  /** Radians per metre that matching the ends added; 0 where that was not asked for. */
  readonly endTwist: number;
  /** Metres: a place near the path, [0, 0, 0] unless that is far away. Meshes count from it, so that 32-bit numbers cost nothing. */
  readonly origin: Vec3;
  /** Metres: what chords between samples are off by; more than was asked for where that would have taken too many. */
  readonly tolerance: number;
}

/** The last span that begins at or before a station. */
export function spanAt({ starts }: Spans, station: number): number {
  let low = 0;
  let high = starts.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (starts[middle] <= station) low = middle;
    else high = middle - 1;
  }
  return low;
}
