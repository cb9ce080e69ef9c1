import { fail, ok } from '../../math/result';
import { lerp } from '../../math/vec3';
import { defineCurveKind } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { withPointAt } from '../legs';
import type { PathPoint } from '../path-spec';
import { piecewise, rationalPiece, type Weighted } from '../piecewise';

/** A rational B-spline, cubic where there are points enough, that the points pull from outside; open ends lie on the first and last point. */
export const controlPolygon = defineCurveKind({
  kind: 'controlPolygon',
  label: 'Control polygon',
  hint: 'The points pull the curve from outside, by their weight',
  group: 'points',
  uses: { radius: false, handles: false, weight: true },
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    const n = points.length;
    if (n < 2) return fail('curve.too-few-points', { needed: 2, given: n });
    const closed = shape.closed && n > 2;
    const degree = Math.min(closed ? 3 : n - 1, 3);
    const knots = closed ? roundKnots(n, degree) : clampedKnots(n, degree);
    const wanted = points.map(weighted);
    // Round, the curve is nearest to the first point where it starts.
    const controls = closed ? [wanted[n - 1], ...wanted, wanted[0], wanted[1]] : wanted;
    const spans: number[] = [];
    for (let k = degree; k < controls.length; k++) if (knots[k + 1] > knots[k]) spans.push(k);
    const pieces = spans.map((k) => rationalPiece(spanControls(controls, knots, degree, k)));
    const [first, last] = [knots[degree], knots[controls.length]];
    // A point belongs to the middle of the knots that its pull spans (Greville's abscissa).
    const greville = (i: number) => {
      let sum = 0;
      for (let k = i + 1; k <= i + degree; k++) sum += knots[k];
      return (sum / degree - first) / (last - first);
    };
    const params = Array.from(from, (i) => (closed ? i / n : Math.min(Math.max(greville(i), 0), 1)));
    return ok(piecewise(pieces, closed, Float64Array.from(params)));
  },
  /** A point on the polygon: the curve comes nearer to it there. */
  insert({ points }, leg, t) {
    const next = points[(leg + 1) % points.length];
    return withPointAt(points, leg + 1, { position: lerp(points[leg].position, next.position, t) });
  },
});

const weighted = ({ position: [x, y, z], weight = 1 }: PathPoint): Weighted => [
  x * weight,
  y * weight,
  z * weight,
  weight,
];

function clampedKnots(n: number, degree: number): number[] {
  const inner = n - degree - 1;
  return Array.from({ length: n + degree + 1 }, (_, k) => Math.min(Math.max(k - degree, 0), inner + 1));
}

const roundKnots = (n: number, degree: number): number[] => Array.from({ length: n + 2 * degree + 1 }, (_, k) => k);

/** The Bezier points of the span from knot k: values of the blossom (Ramshaw 1987), by de Boor's triangle. */
function spanControls(
  controls: readonly Weighted[],
  knots: readonly number[],
  degree: number,
  k: number,
): readonly Weighted[] {
  const [a, b] = [knots[k], knots[k + 1]];
  return Array.from({ length: degree + 1 }, (_, ends) => {
    let layer = Array.from({ length: degree + 1 }, (_, j) => controls[k - degree + j]);
    for (let r = 1; r <= degree; r++) {
      const u = r > degree - ends ? b : a;
      layer = layer.slice(0, -1).map((left, j) => {
        const i = k - degree + r + j;
        return mix(left, layer[j + 1], (u - knots[i]) / (knots[i + degree + 1 - r] - knots[i]));
      });
    }
    return layer[0];
  });
}

const mix = (p: Weighted, q: Weighted, t: number): Weighted => [
  p[0] + (q[0] - p[0]) * t,
  p[1] + (q[1] - p[1]) * t,
  p[2] + (q[2] - p[2]) * t,
  p[3] + (q[3] - p[3]) * t,
];
