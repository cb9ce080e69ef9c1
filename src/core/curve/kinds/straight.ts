import { fail, ok } from '../../math/result';
import { add, distance, normalize, scale, sub } from '../../math/vec3';
import { COINCIDENT_RELATIVE } from '../../math/tolerance';
import { fitCorners, type Corner } from '../corners';
import { defineCurveKind, type ReducedRounding } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { legRange, pointOn, withPointAt } from '../legs';
import type { PathPoint, PathShape } from '../path-spec';
import { arcPiece, linePiece, piecewise, type Piece } from '../piecewise';

/** Straight legs; each corner rounded by a true tangent arc of the point's radius, smaller where that does not fit. */
export const straight = defineCurveKind({
  kind: 'straight',
  label: 'Straight legs',
  hint: 'Straight between points, corners rounded to a radius',
  uses: { radius: true, handles: false },
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    const n = points.length;
    const closed = shape.closed && n > 2;
    if (n < 2) return fail('curve.too-few-points', { needed: 2, given: n });
    const corners = fitCorners(points, closed);
    const pieces: Piece[] = [];
    const starts: number[] = []; // for each point: the number of pieces that lie before it
    const leave = (i: number) => corners[i]?.end ?? points[i]!.position;
    const reachTo = (i: number) => corners[i]?.start ?? points[i]!.position;
    for (let i = 0; i < n; i++) {
      const corner = corners[i];
      if (corner?.radius && (i > 0 || !closed)) pieces.push(half(corner, 0));
      starts.push(pieces.length);
      if (corner?.radius) pieces.push(half(corner, 1));
      if (i + 1 < n || closed) {
        const next = (i + 1) % n;
        const [a, b] = [leave(i), reachTo(next)];
        if (distance(a, b) > COINCIDENT_RELATIVE * distance(points[i]!.position, points[next]!.position)) {
          pieces.push(linePiece(a, b));
        }
      }
    }
    if (closed && corners[0]?.radius) pieces.push(half(corners[0], 0));
    return ok(
      piecewise(
        pieces,
        closed,
        Float64Array.from(from, (i) => starts[i]! / pieces.length),
      ),
    );
  },
  /**
   * Exact: on the straight a point without radius; on an arc the corner becomes two whose arcs meet where it was asked for.
   * Radii that had to shrink for want of room become what they are: the room is shared out anew, and they would grow.
   * Splitting the first corner of a closed path moves its start to the middle of the first arc; the shape stays.
   */
  insert(shape, leg, t) {
    const compiled = this.compile(shape);
    if (!compiled.ok) return { points: shape.points, index: -1 };
    const curve = compiled.value;
    const [u0, u1] = legRange(curve, leg);
    const position = pointOn(curve, u0 + (u1 - u0) * t);
    const { points, from } = toDistinctPoints(shape);
    const corners = fitCorners(points, curve.closed);
    const next = (leg + 1) % shape.points.length;
    const settled = settleRadii(
      shape,
      Array.from(from, (i) => corners[i]),
      leg,
    );
    for (const i of [leg, next]) {
      const corner = corners[from[i]!];
      const swept = corner?.radius ? sweptTo(corner, position) : undefined;
      if (corner && swept !== undefined) {
        const [first, second] = splitCorner(shape.points[i]!, corner, swept);
        const rest = settled.map((point, k) => (k === i ? first : point));
        return withPointAt(rest, i + 1, second);
      }
    }
    return withPointAt(settled, leg + 1, { position });
  },
  reducedRoundings(shape) {
    const { points, from } = toDistinctPoints(shape);
    const corners = fitCorners(points, shape.closed && points.length > 2);
    const reduced: ReducedRounding[] = [];
    shape.points.forEach((point, i) => {
      const corner = corners[from[i]!];
      if (corner && isReduced(corner, point)) reduced.push({ point: i, asked: point.radius ?? 0, used: corner.radius });
    });
    return reduced;
  },
});

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
      if (!corner || !isReduced(corner, shape.points[i]!)) break;
      points[i] = { ...points[i]!, radius: corner.radius };
    }
  }
  return points;
}

/** The first (0) or second (1) half of a corner's arc. */
const half = (c: Corner, which: 0 | 1): Piece =>
  arcPiece(c.centre, c.e1, c.e2, c.radius, (which * c.turn) / 2, ((which + 1) * c.turn) / 2);

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
