import type { Result } from '../math/result';
import type { Vec3 } from '../math/vec3';
import type { Curve } from './curve';
import type { PathPoint, PathShape, PointManner } from './path-spec';

/** A rounding that did not fit between its neighbours. Radii in metres. */
export interface ReducedRounding {
  readonly point: number;
  readonly asked: number;
  readonly used: number;
}

/** A number of a kind as a form shows it. Metres, radians, or plain. */
export interface CurveField {
  readonly key: string;
  readonly label: string;
  readonly unit: 'm' | 'ratio' | 'share' | 'angle';
  readonly initial: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** Whether a path has a use for it; absent = always. */
  readonly appliesTo?: (shape: PathShape) => boolean;
}

/** A number that follows from a path's points and can be set through them. `read` is undefined where there is none. */
export interface PathFigure extends Omit<CurveField, 'initial'> {
  read(shape: PathShape): number | undefined;
  write(shape: PathShape, value: number): PathShape;
}

type PathNumbers = { readonly numbers?: PathShape['numbers'] };

/** What a path says for a field, within its bounds. */
export const fieldValue = (
  { numbers }: PathNumbers,
  { key, initial, min, max }: Pick<CurveField, 'key' | 'initial' | 'min' | 'max'>,
): number => Math.min(Math.max(numbers?.[key] ?? initial, min), max);

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
  /** Whether the curve goes through its points, or is made of few numbers and points that need not lie on it. */
  readonly group: 'points' | 'numbers';
  /** Which optional values of a point the kind reads; a radius by its name. */
  readonly uses: {
    readonly radius: boolean;
    readonly handles: boolean;
    readonly manners?: boolean;
    readonly weight?: boolean;
    readonly side?: boolean;
    readonly radiusLabel?: string;
  };
  readonly fields?: readonly CurveField[];
  readonly figures?: readonly PathFigure[];
  /** It always runs into itself. */
  readonly alwaysClosed?: boolean;
  /** Problems: `curve.too-few-points` with `needed` and `given` (points that differ), and the kind's own. */
  compile(shape: PathShape): Result<Curve>;
  /**
   * The points with one more, and which it is, on `leg` (0 = between the first two points), at share `t` in [0, 1] of the leg's own
   * parameter as `compile` runs through it. The shape stays as it is, exactly where the kind allows it.
   */
  insert(shape: PathShape, leg: number, t: number): InsertedPoint;
  /** Whether a path of few numbers may be turned about a unit axis by turning its points; absent = about any. */
  turnsAbout?(axis: Vec3): boolean;
  /** What else a path of few numbers may say once its points are mirrored, for it to be the mirrored curve; one of these is, or none. */
  mirrored?(shape: PathShape): readonly PathShape[];
  /** The same curve run through the other way, where turning the points round is not all there is to it. */
  reversed?(shape: PathShape): PathShape;
  reducedRoundings?(shape: PathShape): readonly ReducedRounding[];
  /** What the curve does at a point, as a mixed path would say it; absent = it runs on smoothly. */
  mannerOf?(point: PathPoint): PointManner;
  /** Points with the handles that draw the curve between them; absent = those that they have. */
  toHandles?(shape: PathShape): readonly PathPoint[];
  /** What a point says so that its own handles hold the tangent; absent = points of this kind cannot. */
  readonly holds?: Pick<PathPoint, 'as' | 'held'>;
  /** Legs are straight lines where corners have no radius. */
  readonly hasStraightLegs?: boolean;
  /** A leg is one cubic that depends on its own points and so many beside them; absent = on all of them. */
  readonly reach?: number;
  /** A point that lets the curve pass as it did before, where points are put elsewhere along it; absent = with handles. Without: corners stay points. */
  passing?(place: PassingPlace): PathPoint;
}

/** Where a curve passes a place that becomes a point: the point with handles along it, and the radius of the one that was there. */
export interface PassingPlace {
  readonly point: PathPoint;
  readonly radius: number | undefined;
}

export const defineCurveKind = <K extends string>(kind: CurveKind<K>): CurveKind<K> => kind;
