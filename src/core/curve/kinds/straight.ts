import { add, normalize, scale, sub } from '../../math/vec3';
import type { Result } from '../../math/result';
import { fitCorners, type Corner } from '../corners';
import type { Curve } from '../curve';
import { defineCurveKind, type InsertedPoint, type ReducedRounding } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { legRange, pointOn, withPointAt } from '../legs';
import type { PathPoint, PathShape } from '../path-spec';
import { compileMixed } from './compile-mixed';

/** Straight legs; each corner rounded by a true tangent arc of the point's radius, smaller where that does not fit. */
export const straight = defineCurveKind({
  kind: 'straight',
  label: 'Straight legs',
  hint: 'Straight between points, corners rounded to a radius',
  group: 'points',
  uses: { radius: true, handles: false },
  hasStraightLegs: true,
  mannerOf: () => 'corner',
  passing: ({ point: { position }, radius }) => ({ position, ...(radius !== undefined && { radius }) }),
  compile: (shape) => compileMixed(asCorners(shape)),
  /**
   * Exact: on the straight a point without radius; on an arc the corner becomes two whose arcs meet where it was asked for.
   * Radii that had to shrink for want of room become what they are: the room is shared out anew, and they would grow.
   * Splitting the first corner of a closed path moves its start to the middle of the first arc; the shape stays.
   */
  insert(shape, leg, t) {
    return insertOnStraight(shape, this.compile(shape), toDistinctPoints(shape).points, leg, t);
  },
  reducedRoundings: (shape) => reducedAt(shape, (points) => points),
});

/** All points as corners, all legs straight. */
const asCorners = (shape: PathShape): PathShape => ({
  ...shape,
  points: shape.points.map((point) => ({ ...point, as: 'corner' as const })),
});

/** `rounded` = the distinct points with the radii that count. */
export function insertOnStraight(
  shape: PathShape,
  compiled: Result<Curve>,
  rounded: readonly PathPoint[],
  leg: number,
  t: number,
): InsertedPoint {
  if (!compiled.ok) return { points: shape.points, index: -1 };
  const curve = compiled.value;
  const [u0, u1] = legRange(curve, leg);
  const position = pointOn(curve, u0 + (u1 - u0) * t);
  const { from } = toDistinctPoints(shape);
  const corners = fitCorners(rounded, curve.closed);
  const next = (leg + 1) % shape.points.length;
  const settled = settleRadii(
    shape,
    Array.from(from, (i) => corners[i]),
    leg,
  );
  for (const i of [leg, next]) {
    const corner = corners[from[i]];
    const swept = corner?.radius ? sweptTo(corner, position) : undefined;
    if (corner && swept !== undefined) {
      const [first, second] = splitCorner(shape.points[i], corner, swept);
      const rest = settled.map((point, k) => (k === i ? first : point));
      return withPointAt(rest, i + 1, second);
    }
  }
  return withPointAt(settled, leg + 1, { position });
}

/** Roundings that did not fit; `rounded` gives the distinct points with the radii that count. */
export function reducedAt(
  shape: PathShape,
  rounded: (points: readonly PathPoint[], closed: boolean) => readonly PathPoint[],
): ReducedRounding[] {
  const { points, from } = toDistinctPoints(shape);
  const closed = shape.closed && points.length > 2;
  const corners = fitCorners(rounded(points, closed), closed);
  const reduced: ReducedRounding[] = [];
  shape.points.forEach((point, i) => {
    const corner = corners[from[i]];
    if (corner && isReduced(corner, point)) reduced.push({ point: i, asked: point.radius ?? 0, used: corner.radius });
  });
  return reduced;
}

const isReduced = (corner: Corner, { radius: asked = 0 }: PathPoint) =>
  corner.turn > 1e-9 && asked > 0 && corner.radius < asked * (1 - 1e-9);

/** The points with the radii in use from a leg outwards, each way up to a corner that has all it asks for. */
function settleRadii(shape: PathShape, corners: readonly (Corner | undefined)[], leg: number): PathPoint[] {
  const points = [...shape.points];
  const n = points.length;
  for (const [start, step] of [
    [leg, n - 1],
    [leg + 1, 1],
  ] as const) {
    for (let k = 0; k < n; k++) {
      const i = (start + k * step) % n;
      const corner = corners[i];
      if (!corner || !isReduced(corner, shape.points[i])) break;
      points[i] = { ...points[i], radius: corner.radius };
    }
  }
  return points;
}

/** Angle on the corner's arc at which `position` lies; undefined when it is not strictly inside the arc. */
function sweptTo(c: Corner, position: PathPoint['position']): number | undefined {
  const r = sub(position, c.centre);
  const along = (e: PathPoint['position']) => r[0] * e[0] + r[1] * e[1] + r[2] * e[2];
  const angle = Math.atan2(along(c.e2), along(c.e1));
  const onCircle = Math.abs(Math.hypot(...r) - c.radius) < 1e-9 * c.radius;
  return onCircle && angle > 1e-6 && angle < c.turn - 1e-6 ? angle : undefined;
}

/** Two corners of the same radius in place of one: their tangents meet where the arc is split. */
function splitCorner(point: PathPoint, c: Corner, swept: number): readonly [PathPoint, PathPoint] {
  const intoCorner = normalize(sub(point.position, c.start));
  const outOfCorner = normalize(sub(c.end, point.position));
  const first = add(c.start, scale(intoCorner, c.radius * Math.tan(swept / 2)));
  const second = sub(c.end, scale(outOfCorner, c.radius * Math.tan((c.turn - swept) / 2)));
  return [
    { ...point, position: first, radius: c.radius },
    { position: second, radius: c.radius },
  ];
}
