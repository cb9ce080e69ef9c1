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
 * A B-spline as cubic legs: exactly without weights up to degree 3, else within a millionth of its size. Knots are put in until each is
 * there as often as the degree (W. Boehm, Inserting new knots into B-spline curves, CAD 12, 1980). Without controls, its fit points as
 * they are. Undefined where its numbers do not fit together.
 */
export function splineLegs(
  { degree, knots, controls, weights, fitPoints }: Spline,
  name: string,
): BroughtPath | undefined {
  if (controls.length < 2) {
    const points = fitPoints.map((position) => ({ position }));
    return points.length > 1 ? { name, kind: 'straight', closed: false, points } : undefined;
  }
  const isSound = degree >= 1 && degree <= 12 && knots.length === controls.length + degree + 1;
  if (!isSound || !weights.every((weight) => weight > 0)) return undefined;
  const pieces = bezierPieces(
    controls.map(([x, y, z], i): Weighted => {
      const weight = weights[i] ?? 1;
      return [x * weight, y * weight, z * weight, weight];
    }),
    knots,
    degree,
  );
  const start = placeOf(pieces[0]![0]!);
  const isRational = controls.some((_, i) => (weights[i] ?? 1) !== (weights[0] ?? 1));
  const legs = new CubicLegs(start);
  if (isRational || degree > 3) {
    const size = Math.max(...controls.map((place) => distance(place, controls[0]!)));
    const curve = piecewise(pieces.map(rationalPiece), false, Float64Array.of(0, 1));
    const points = fitHandles(curve, size * TOLERANCE);
    for (const [i, { position, handleIn }] of points.slice(1).entries())
      legs.cubic(sum(points[i]!.position, points[i]!.handleOut), sum(position, handleIn), position);
    return legs.build(name);
  }
  for (const piece of pieces) {
    const [a, b, c, d] = piece.map(placeOf);
    if (degree === 1) legs.line(b!);
    else if (degree === 2) legs.cubic(lerp(a!, b!, 2 / 3), lerp(c!, b!, 2 / 3), c!);
    else legs.cubic(b!, c!, d!);
  }
  return legs.build(name);
}

const placeOf = ([x, y, z, w]: Weighted): Vec3 => [x / w, y / w, z / w];
const sum = (a: Vec3, b: Vec3 = [0, 0, 0]): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

/** The controls of one Bezier piece a span, degree + 1 each. */
function bezierPieces(given: readonly Weighted[], givenKnots: readonly number[], degree: number): Weighted[][] {
  let controls = given;
  let knots = givenKnots;
  const [from, to] = [knots[degree]!, knots[controls.length]!];
  const times = (u: number) => knots.filter((knot) => knot === u).length;
  for (const u of new Set(knots.filter((knot) => knot >= from && knot <= to)))
    while (times(u) < degree) [controls, knots] = withKnot(controls, knots, degree, u);
  const own = controls.slice(Math.max(knots.lastIndexOf(from) - degree, 0), knots.indexOf(to));
  const pieces: Weighted[][] = [];
  for (let i = 0; i + degree < own.length; i += degree) pieces.push(own.slice(i, i + degree + 1));
  return pieces;
}

function withKnot(
  controls: readonly Weighted[],
  knots: readonly number[],
  degree: number,
  u: number,
): [Weighted[], number[]] {
  let k = 0;
  while (k + 1 < knots.length && knots[k + 1]! <= u) k++;
  const next: Weighted[] = [];
  for (let i = 0; i <= controls.length; i++) {
    if (i <= k - degree) next.push(controls[i]!);
    else if (i > k || i >= controls.length) next.push(controls[i - 1]!);
    else {
      const span = knots[i + degree]! - knots[i]!;
      const share = span > 0 ? (u - knots[i]!) / span : 0;
      next.push(controls[i - 1]!.map((v, c) => v + (controls[i]![c]! - v) * share) as unknown as Weighted);
    }
  }
  return [next, [...knots.slice(0, k + 1), u, ...knots.slice(k + 1)]];
}
