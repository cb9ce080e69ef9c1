import { fail, ok } from '../../math/result';
import { add, lerp, scale, sub, type Vec3 } from '../../math/vec3';
import { defineCurveKind } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { withPointAt } from '../legs';
import type { PathPoint } from '../path-spec';
import { cubicPiece, legwise } from '../piecewise';

/** Cubic Bezier legs shaped by handles. A point without a handle points straight at its neighbour. */
export const handles = defineCurveKind({
  kind: 'handles',
  label: 'With handles',
  hint: 'Each point has two handles that shape the curve',
  group: 'points',
  uses: { radius: false, handles: true },
  holds: {},
  reach: 1,
  mannerOf: () => 'handles',
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    const closed = shape.closed && points.length > 1;
    if (points.length < 2) return fail('curve.too-few-points', { needed: 2, given: points.length });
    const legs = closed ? points.length : points.length - 1;
    const pieces = Array.from({ length: legs }, (_, i) =>
      cubicPiece(...legControls(points[i], points[(i + 1) % points.length])),
    );
    return ok(legwise(pieces, closed, from));
  },
  /** Exact: de Casteljau's split of the leg. */
  insert({ points }, leg, t) {
    const next = (leg + 1) % points.length;
    const [p0, p1, p2, p3] = legControls(points[leg], points[next]);
    const [a, b, c] = [lerp(p0, p1, t), lerp(p1, p2, t), lerp(p2, p3, t)];
    const [d, e] = [lerp(a, b, t), lerp(b, c, t)];
    const position = lerp(d, e, t);
    const split = points.map((point, i) => ({
      ...point,
      ...(i === leg && { handleOut: sub(a, p0) }),
      ...(i === next && { handleIn: sub(c, p3) }),
    }));
    return withPointAt(split, leg + 1, { position, handleIn: sub(d, position), handleOut: sub(e, position) });
  },
});

/** The four control points of the leg from `from` to `to`. */
function legControls(from: PathPoint, to: PathPoint): [Vec3, Vec3, Vec3, Vec3] {
  const third = scale(sub(to.position, from.position), 1 / 3);
  return [
    from.position,
    add(from.position, from.handleOut ?? third),
    add(to.position, to.handleIn ?? scale(third, -1)),
    to.position,
  ];
}
