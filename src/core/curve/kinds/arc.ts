import { fail, ok } from '../../math/result';
import { add, cross, distance, dot, length, normalize, scale, sub, type Vec3 } from '../../math/vec3';
import { defineCurveKind, type PathFigure } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import type { PathPoint } from '../path-spec';
import { arcPiece, linePiece, piecewise } from '../piecewise';

const RADIUS: PathFigure = {
  key: 'radius',
  label: 'Radius',
  unit: 'm',
  min: 1e-4,
  max: 1e6,
  step: 0.1,
  read: ({ points }) => circleOf(points)?.radius,
  /** About the centre; points that lie on a line have none, and stay. */
  write(shape, value) {
    const circle = circleOf(shape.points);
    if (!circle) return shape;
    const { centre, radius } = circle;
    const moved = (p: Vec3) => add(centre, scale(sub(p, centre), value / radius));
    return { ...shape, points: shape.points.map((point) => ({ ...point, position: moved(point.position) })) };
  },
};

/** A circular arc from the first point over the second to the third, or the whole circle through them. */
export const arc = defineCurveKind({
  kind: 'arc',
  label: 'Arc or circle',
  hint: 'An arc over three points; closed, the circle through them',
  group: 'numbers',
  uses: { radius: false, handles: false },
  figures: [RADIUS],
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    if (points.length < 2) return fail('curve.too-few-points', { needed: 2, given: points.length });
    const [a, b, c] = points.map(({ position }) => position);
    const circle = c && circleThrough(a, b, c);
    if (!circle) {
      const end = c ?? b;
      const share = distance(a, b) / (distance(a, end) || 1);
      const params = Array.from(from, (i) => (i === 0 ? 0 : c && i === 1 ? Math.min(share, 1) : 1));
      return ok(piecewise([linePiece(a, end)], false, Float64Array.from(params)));
    }
    const { centre, e1, e2, radius, angles } = circle;
    const end = shape.closed ? 2 * Math.PI : angles[1];
    const pieces = [0, 1, 2, 3].map((k) => arcPiece(centre, e1, e2, radius, (end * k) / 4, (end * (k + 1)) / 4));
    const params = Array.from(from, (i) => (i === 0 ? 0 : i < 3 ? angles[i - 1] / end : 1));
    return ok(piecewise(pieces, shape.closed, Float64Array.from(params)));
  },
  reversed(shape) {
    const used = shape.points.slice(0, 3).reverse();
    const turned = shape.closed && used.length === 3 ? [used[2], used[0], used[1]] : used;
    return { ...shape, points: [...turned, ...shape.points.slice(3)] };
  },
  insert: (shape) => ({ points: shape.points, index: -1 }),
});

const circleOf = (points: readonly PathPoint[]): Circle | undefined =>
  points.length > 2 ? circleThrough(points[0].position, points[1].position, points[2].position) : undefined;

interface Circle {
  readonly centre: Vec3;
  readonly e1: Vec3;
  readonly e2: Vec3;
  readonly radius: number;
  /** How far round b and c lie from a, radians. */
  readonly angles: readonly [number, number];
}

/** The circle that runs from a over b to c; undefined where they lie on a line. */
function circleThrough(a: Vec3, b: Vec3, c: Vec3): Circle | undefined {
  const [u, v] = [sub(b, a), sub(c, a)];
  const w = cross(u, v);
  const ww = dot(w, w);
  if (ww < 1e-18 * dot(u, u) * dot(v, v)) return undefined;
  const toCentre = scale(add(scale(cross(v, w), dot(u, u)), scale(cross(w, u), dot(v, v))), 1 / (2 * ww));
  const centre = add(a, toCentre);
  const e1 = normalize(scale(toCentre, -1));
  const e2 = cross(normalize(w), e1);
  const angleOf = (p: Vec3) => {
    const r = sub(p, centre);
    const angle = Math.atan2(dot(r, e2), dot(r, e1));
    return angle < 0 ? angle + 2 * Math.PI : angle;
  };
  return { centre, e1, e2, radius: length(toCentre), angles: [angleOf(b), angleOf(c)] };
}
