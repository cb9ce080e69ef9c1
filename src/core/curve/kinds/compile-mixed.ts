import { fail, ok, type Result } from '../../math/result';
import { add, distance, lerp, scale, sub, type Vec3 } from '../../math/vec3';
import { COINCIDENT_RELATIVE } from '../../math/tolerance';
import { fitCorners, type Corner } from '../corners';
import type { Curve } from '../curve';
import { toDistinctPoints } from '../distinct-points';
import type { PathPoint, PathShape } from '../path-spec';
import { arcPiece, cubicPiece, linePiece, piecewise, type Piece } from '../piecewise';
import { knotTangents, parabolaControl } from './smooth';

/** Whether the leg after point i is straight: marked so, or between two corners. */
export function isStraightLeg(points: readonly PathPoint[], i: number): boolean {
  const from = points[i];
  const to = points[(i + 1) % points.length];
  return from.straight === true || (from.as === 'corner' && to.as === 'corner');
}

/** The points with radii only where two straight legs meet. */
export function roundable(points: readonly PathPoint[], closed: boolean): PathPoint[] {
  const n = points.length;
  return points.map((point, i) => {
    const isInner = closed || (i > 0 && i < n - 1);
    const meets = isInner && isStraightLeg(points, (i + n - 1) % n) && isStraightLeg(points, i);
    return meets ? point : { ...point, radius: 0 };
  });
}

/** Straight legs with rounded corners where that is asked for, cubics elsewhere. */
export function compileMixed(shape: PathShape): Result<Curve> {
  const { points, from } = toDistinctPoints(shape);
  const n = points.length;
  const closed = shape.closed && n > 2;
  if (n < 2) return fail('curve.too-few-points', { needed: 2, given: n });
  const corners = fitCorners(roundable(points, closed), closed);
  const pieces: Piece[] = [];
  const starts: number[] = []; // for each point: the number of pieces that lie before it
  const leave = (i: number) => corners[i]?.end ?? points[i].position;
  const reachTo = (i: number) => corners[i]?.start ?? points[i].position;
  for (let i = 0; i < n; i++) {
    const corner = corners[i];
    if (corner?.radius && (i > 0 || !closed)) pieces.push(half(corner, 0));
    starts.push(pieces.length);
    if (corner?.radius) pieces.push(half(corner, 1));
    if (i + 1 === n && !closed) break;
    const next = (i + 1) % n;
    if (!isStraightLeg(points, i)) {
      pieces.push(cubicPiece(...controlsOf(points, closed, i)!));
      continue;
    }
    const [a, b] = [leave(i), reachTo(next)];
    const whole = distance(points[i].position, points[next].position);
    if (distance(a, b) > COINCIDENT_RELATIVE * whole) pieces.push(linePiece(a, b));
  }
  if (closed && corners[0]?.radius) pieces.push(half(corners[0], 0));
  const params = Float64Array.from(from, (i) => starts[i] / pieces.length);
  return ok(piecewise(pieces, closed, params));
}

/** The first (0) or second (1) half of a corner's arc. */
const half = (c: Corner, which: 0 | 1): Piece =>
  arcPiece(c.centre, c.e1, c.e2, c.radius, (which * c.turn) / 2, ((which + 1) * c.turn) / 2);

type Controls = [Vec3, Vec3, Vec3, Vec3];

/** The control points of the leg after point i; undefined where there is none. */
export function controlsOf(points: readonly PathPoint[], closed: boolean, i: number): Controls | undefined {
  const n = points.length;
  const place = (i + n) % n;
  if (!closed && (i < 0 || i + 1 >= n)) return undefined;
  const next = (place + 1) % n;
  const [a, b] = [points[place].position, points[next].position];
  let c1 = control(points, closed, place, 1, distance(a, b));
  let c2 = control(points, closed, next, -1, distance(a, b));
  c1 ??= c2 ? parabolaControl(a, b, c2) : lerp(a, b, 1 / 3);
  c2 ??= parabolaControl(b, a, c1);
  return [a, c1, c2, b];
}

/** The handles, relative to its place, that draw a mixed path at point i; a straight leg's point along it. */
export function controlsAt(
  shape: PathShape,
  i: number,
  { points, from } = toDistinctPoints(shape),
): { readonly handleIn?: Vec3; readonly handleOut?: Vec3 } {
  const closed = shape.closed && points.length > 2;
  const place = from[i];
  const n = points.length;
  const { position } = points[place];
  const third = (other: Vec3) => scale(sub(other, position), 1 / 3);
  const side = (leg: number, which: 1 | 2): Vec3 | undefined => {
    const controls = controlsOf(points, closed, leg);
    if (!controls) return undefined;
    return isStraightLeg(points, (leg + n) % n) ? third(controls[which === 1 ? 3 : 0]) : sub(controls[which], position);
  };
  const [handleIn, handleOut] = [side(place - 1, 2), side(place, 1)];
  return { ...(handleIn && { handleIn }), ...(handleOut && { handleOut }) };
}

/** Where point i pulls the leg after (1) or before it (-1), `long` metres; undefined = it does not say. */
function control(
  points: readonly PathPoint[],
  closed: boolean,
  i: number,
  way: 1 | -1,
  long: number,
): Vec3 | undefined {
  const n = points.length;
  const { position, as: manner = 'smooth', handleIn, handleOut } = points[i];
  const handle = way > 0 ? handleOut : handleIn;
  if (manner === 'handles') return handle && add(position, handle);
  if (manner === 'corner') return undefined;
  if (!closed && (i === 0 || i === n - 1)) return undefined;
  const [before, after] = [points[(i + n - 1) % n].position, points[(i + 1) % n].position];
  // Beside a straight leg the curve goes on in its direction.
  const [comesStraight, goesStraight] = [isStraightLeg(points, (i + n - 1) % n), isStraightLeg(points, i)];
  const along = comesStraight ? sub(position, before) : goesStraight ? sub(after, position) : undefined;
  if (along) return add(position, scale(along, (way * long) / 3 / Math.hypot(...along)));
  const tangent = knotTangents([before, position, after], false)[1]!;
  return add(position, scale(tangent, (way * Math.sqrt(long)) / 3));
}
