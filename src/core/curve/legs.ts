import type { Result } from '../math/result';
import { scale, type Vec3 } from '../math/vec3';
import type { Curve } from './curve';
import type { InsertedPoint } from './curve-kind';
import type { PathPoint, PathShape } from './path-spec';

/** Number of legs of a path with `pointCount` points. */
export const legCount = (pointCount: number, closed: boolean): number =>
  closed ? pointCount : Math.max(0, pointCount - 1);

/** The u range of `leg` on a curve whose point i sits at pointParams[i]. */
export function legRange(curve: Curve, leg: number): readonly [number, number] {
  const start = curve.pointParams[leg];
  const end = leg + 1 < curve.pointParams.length ? curve.pointParams[leg + 1] : 1;
  return [start, end];
}

export function pointOn(curve: Curve, u: number): Vec3 {
  const out = new Float64Array(3);
  curve.pointAt(out, 0, u);
  return [out[0], out[1], out[2]];
}

/** `points` with `point` put in as number `index`. */
export const withPointAt = (points: readonly PathPoint[], index: number, point: PathPoint): InsertedPoint => ({
  points: [...points.slice(0, index), point, ...points.slice(index)],
  index,
});

/** Puts a plain point on the curve; the points unchanged where there is no curve yet. */
export function insertPlain(shape: PathShape, leg: number, compiled: Result<Curve>, t: number): InsertedPoint {
  if (!compiled.ok) return { points: shape.points, index: -1 };
  const [u0, u1] = legRange(compiled.value, leg);
  return withPointAt(shape.points, leg + 1, { position: pointOn(compiled.value, u0 + (u1 - u0) * t) });
}

/** Gives each point the handles of the cubic legs that meet in it. The curve's legs must be cubics over equal shares of u. */
export function cubicControl(shape: PathShape, compiled: Result<Curve>): PathShape {
  if (!compiled.ok) return shape;
  const curve = compiled.value;
  const v = new Float64Array(6);
  const share = 1 / (curve.breaks.length - 1) / 3;
  const points = shape.points.map((point, i) => {
    const u = curve.pointParams[i];
    curve.velocityAt(v, 0, curve.closed && u === 0 ? 1 : u, true);
    curve.velocityAt(v, 3, u);
    const before: Vec3 = [v[0], v[1], v[2]];
    const after: Vec3 = [v[3], v[4], v[5]];
    return { ...point, handleIn: scale(before, -share), handleOut: scale(after, share) };
  });
  return { ...shape, points };
}
