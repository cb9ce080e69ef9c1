/**
 * Numbers per sample: position xyz, forward xyz, up xyz, side xyz, curvature vector xyz (1/m), twist (radians per metre by
 * which up turns about forward beyond least twist), gauge (thickness factor across the path) and flare (gauge per metre).
 */
export const FRAME_STRIDE = 18;
export const FORWARD = 3;
export const UP = 6;
export const SIDE = 9;
export const CURVATURE = 12;
export const TWIST = 15;
export const GAUGE = 16;
export const FLARE = 17;

/** A place where the path turns on the spot. */
export interface Kink {
  /** Metres. */
  readonly station: number;
  /** Radians. */
  readonly angle: number;
}

/** Stations (metres) between which an upright path came too near to its up direction and was carried over the gap. */
export type SteepReach = readonly [number, number];

/** A path as equally spaced frames: all that laying, bending and the checks read. */
export interface FrameTable {
  readonly closed: boolean;
  /** Samples less one; sample i lies at station i * step. */
  readonly intervals: number;
  /** Metres between samples. */
  readonly step: number;
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
}
