import { fail, ok } from '../../math/result';
import { add, scale, type Vec3 } from '../../math/vec3';
import { wrapBelt } from '../belt';
import { flatWheels, PITCH, WHEEL_RADIUS } from '../belt-wheels';
import { defineCurveKind } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { withPointAt } from '../legs';
import { arcPiece, linePiece, piecewise, type Piece } from '../piecewise';

/** A taut loop round wheels in one plane, each within it or pressing from outside; the points are the wheels' middles. */
export const belt = defineCurveKind({
  kind: 'belt',
  label: 'Belt round wheels',
  hint: 'A taut loop round wheels: the points are their middles',
  group: 'numbers',
  uses: { radius: true, handles: false, side: true, radiusLabel: 'Wheel radius' },
  fields: [PITCH],
  alwaysClosed: true,
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    const n = points.length;
    if (n < 2) return fail('curve.too-few-points', { needed: 2, given: n });
    const { origin, e1, e2, wheels } = flatWheels(points, shape);
    const wrapped = wrapBelt(wheels);
    if (!wrapped.ok) return wrapped;
    const place = (x: number, y: number): Vec3 => add(origin, add(scale(e1, x), scale(e2, y)));
    const pieces: Piece[] = [];
    const middles: number[] = [];
    const onWheel = (i: number, angle: number) => {
      const { x, y, radius } = wheels[i];
      return place(x + radius * Math.cos(angle), y + radius * Math.sin(angle));
    };
    const halfWrap = (i: number, which: 0 | 1) => {
      const { from: start, turn } = wrapped.value[i];
      if (turn === 0) return;
      const { x, y, radius } = wheels[i];
      pieces.push(arcPiece(place(x, y), e1, e2, radius, start + (which * turn) / 2, start + ((which + 1) * turn) / 2));
    };
    wheels.forEach((_, i) => {
      if (i > 0) halfWrap(i, 0);
      middles.push(pieces.length);
      halfWrap(i, 1);
      const next = (i + 1) % n;
      const { from: start, turn } = wrapped.value[i];
      pieces.push(linePiece(onWheel(i, start + turn), onWheel(next, wrapped.value[next].from)));
    });
    halfWrap(0, 0);
    const params = Float64Array.from(from, (i) => middles[i] / pieces.length);
    return ok(piecewise(pieces, true, params));
  },
  /** One more wheel, half way between two. */
  insert({ points }, leg) {
    const [a, b] = [points[leg], points[(leg + 1) % points.length]];
    const position = scale(add(a.position, b.position), 0.5);
    const radius = Math.min(a.radius ?? WHEEL_RADIUS, b.radius ?? WHEEL_RADIUS) / 2;
    return withPointAt(points, leg + 1, { position, radius });
  },
});
