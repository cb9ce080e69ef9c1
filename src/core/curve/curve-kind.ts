import type { Result } from '../math/result';
import type { Curve } from './curve';
import type { PathPoint, PathShape } from './path-spec';

/** A rounding that did not fit between its neighbours. Radii in metres. */
export interface ReducedRounding {
  readonly point: number;
  readonly asked: number;
  readonly used: number;
}

/** The points of a path after one was put in, and the number that it has. */
export interface InsertedPoint {
  readonly points: readonly PathPoint[];
  readonly index: number;
}

/**
 * A way to draw a curve through or along points. Length, frames, laying and bending are derived for all kinds;
 * adding one is a file in `kinds/` and a line in its list.
 */
export interface CurveKind<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  /** One line that says what the kind is for. */
  readonly hint: string;
  /** Which optional values of a point the kind reads. */
  readonly uses: { readonly radius: boolean; readonly handles: boolean };
  /** Problems: `curve.too-few-points` with `needed` and `given` (points that differ). */
  compile(shape: PathShape): Result<Curve>;
  /**
   * The points with one more, and which it is, on `leg` (0 = between the first two points), at share `t` in [0, 1] of the leg's own
   * parameter as `compile` runs through it. The shape stays as it is, exactly where the kind allows it.
   */
  insert(shape: PathShape, leg: number, t: number): InsertedPoint;
  reducedRoundings?(shape: PathShape): readonly ReducedRounding[];
}

export const defineCurveKind = <K extends string>(kind: CurveKind<K>): CurveKind<K> => kind;
