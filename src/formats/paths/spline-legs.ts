import { fitHandles } from '../../core/curve/fit-handles';
import { piecewise, rationalPiece, type Weighted } from '../../core/curve/piecewise';
import { distance, lerp, type Vec3 } from '../../core/math/vec3';
import { CubicLegs } from './cubic-legs';
import type { BroughtPath } from './path-format';

/** A B-spline as files tell of it: knots = controls + degree + 1, one weight a control or none. */
export interface Spline {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly controls: readonly Vec3[];
  readonly weights: readonly number[];
  /** Places it goes through, where it has no controls. */
  readonly fitPoints: readonly Vec3[];
}

/** Where legs cannot be exact they keep within this share of the spline's size. */
const TOLERANCE = 1e-6;

/**
 * A B-spline as cubic legs: exactly without weights up to degree 3, else within a millionth of its size. Without controls, its fit
 * points as they are. Undefined where its numbers do not fit together.
 */
export function splineLegs(
  { degree, knots, controls, weights, fitPoints }: Spline,
  name: string,
): BroughtPath | undefined {
  if (controls.length < 2) {
    const points = fitPoints.map((position) => ({ position }));
    return points.length > 1 ? { name, kind: 'straight', closed: false, points } : undefined;
  }
  const isSound =
    Number.isInteger(degree) && degree >= 1 && degree <= 12 && knots.length === controls.length + degree + 1;
  const isRising = knots.every((knot, i) => Number.isFinite(knot) && (i === 0 || knot >= knots[i - 1]));
  if (!isSound || !isRising || !weights.every((weight) => weight > 0)) return undefined;
  if (!controls.every((place) => place.every(Number.isFinite))) return undefined;
  const pieces = bezierPieces(
    controls.map(([x, y, z], i): Weighted => {
      const weight = weights[i] ?? 1;
      return [x * weight, y * weight, z * weight, weight];
    }),
    knots,
    degree,
  );
  if (pieces.length === 0) return undefined;
  const start = placeOf(pieces[0][0]);
  const isRational = controls.some((_, i) => (weights[i] ?? 1) !== (weights[0] ?? 1));
  const legs = new CubicLegs(start);
  if (isRational || degree > 3) {
    const size = controls.reduce((most, place) => Math.max(most, distance(place, controls[0])), 0);
    const curve = piecewise(pieces.map(rationalPiece), false, Float64Array.of(0, 1));
    const points = fitHandles(curve, size * TOLERANCE);
    for (const [i, { position, handleIn }] of points.slice(1).entries())
      legs.cubic(sum(points[i].position, points[i].handleOut), sum(position, handleIn), position);
    return legs.build(name);
  }
  for (const piece of pieces) {
    const [a, b, c, d] = piece.map(placeOf);
    if (degree === 1) legs.line(b);
    else if (degree === 2) legs.cubic(lerp(a, b, 2 / 3), lerp(c, b, 2 / 3), c);
    else legs.cubic(b, c, d);
  }
  return legs.build(name);
}

const placeOf = ([x, y, z, w]: Weighted): Vec3 => [x / w, y / w, z / w];
const sum = (a: Vec3, b: Vec3 = [0, 0, 0]): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

/** The controls of one Bezier piece a span, degree + 1 each: the polar form at the span's ends (L. Ramshaw, Blossoms are polar forms, 1989). */
function bezierPieces(controls: readonly Weighted[], knots: readonly number[], degree: number): Weighted[][] {
  const pieces: Weighted[][] = [];
  for (let k = degree; k < controls.length; k++) {
    const [from, to] = [knots[k], knots[k + 1]];
    if (!(to > from)) continue;
    pieces.push(
      Array.from({ length: degree + 1 }, (_, ends) =>
        blossom(controls, knots, degree, k, (r) => (r <= ends ? to : from)),
      ),
    );
  }
  return pieces;
}

/** The polar form of the span from knot `k` at the places `at(1)` to `at(degree)`, by de Boor's steps. */
function blossom(
  controls: readonly Weighted[],
  knots: readonly number[],
  degree: number,
  k: number,
  at: (step: number) => number,
): Weighted {
  const row = controls.slice(k - degree, k + 1);
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const i = k - degree + j;
      const share = (at(r) - knots[i]) / (knots[i + degree + 1 - r] - knots[i]);
      const [a, b] = [row[j - 1], row[j]];
      row[j] = a.map((v, c) => v + (b[c] - v) * share) as unknown as Weighted;
    }
  return row[degree];
}
