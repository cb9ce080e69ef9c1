/** A curve over u in [0, 1]. Each filler writes 3 numbers into `out` from `at` on and allocates nothing. */
export interface Curve {
  readonly closed: boolean;
  /** Ascending u where a derivative may jump; first 0, last 1. */
  readonly breaks: Float64Array;
  /** u of each path point, ascending: on the curve, or where the curve passes nearest to the point. */
  readonly pointParams: Float64Array;
  /** Metres. */
  pointAt(out: Float64Array, at: number, u: number): void;
  /** Metres per unit of u. At a break: the value of the piece that `u` begins, unless `fromLeft`. */
  velocityAt(out: Float64Array, at: number, u: number, fromLeft?: boolean): void;
  /** Metres per unit of u squared; sides as for `velocityAt`. */
  accelerationAt(out: Float64Array, at: number, u: number, fromLeft?: boolean): void;
}
