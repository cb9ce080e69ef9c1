import type { ISplineEntity } from 'dxf-parser/dist/entities/spline';
import { lerp, type Vec3 } from '../../core/math/vec3';
import { CubicLegs } from './cubic-legs';
import type { BroughtPath } from './path-format';

/**
 * A B-spline of degree 1 to 3 as cubic legs, exactly: knots are put in until each is there as often as the degree (W. Boehm, Inserting new
 * knots into B-spline curves, CAD 12, 1980). Without control points, its fit points as they are. Undefined for other degrees.
 */
export function splineLegs(
  entity: Pick<ISplineEntity, 'controlPoints' | 'fitPoints' | 'knotValues' | 'degreeOfSplineCurve'>,
  name: string,
): BroughtPath | undefined {
  const place = ({ x, y, z }: { x: number; y: number; z?: number }): Vec3 => [x, y, z ?? 0];
  const degree = entity.degreeOfSplineCurve;
  let controls = (entity.controlPoints ?? []).map(place);
  if (controls.length < 2) {
    const points = (entity.fitPoints ?? []).map((point) => ({ position: place(point) }));
    return points.length > 1 ? { name, kind: 'straight', closed: false, points } : undefined;
  }
  if (degree < 1 || degree > 3 || entity.knotValues.length !== controls.length + degree + 1) return undefined;
  let knots = [...entity.knotValues];
  const [from, to] = [knots[degree]!, knots[controls.length]!];
  const times = (u: number) => knots.filter((knot) => knot === u).length;
  for (const u of new Set(knots.filter((knot) => knot >= from && knot <= to))) {
    while (times(u) < degree) [controls, knots] = withKnot(controls, knots, degree, u);
  }
  const start = knots.lastIndexOf(from) - degree;
  const end = knots.indexOf(to) - 1;
  const own = controls.slice(Math.max(start, 0), end + 1);
  const legs = new CubicLegs(own[0]!);
  for (let i = 0; i + degree < own.length; i += degree) {
    const [a, b, c, d] = [own[i]!, own[i + 1]!, own[i + 2]!, own[i + 3]!];
    if (degree === 1) legs.line(b);
    else if (degree === 2) legs.cubic(lerp(a, b, 2 / 3), lerp(c, b, 2 / 3), c);
    else legs.cubic(b, c, d);
  }
  return legs.build(name);
}

function withKnot(controls: readonly Vec3[], knots: readonly number[], degree: number, u: number): [Vec3[], number[]] {
  let k = 0;
  while (k + 1 < knots.length && knots[k + 1]! <= u) k++;
  const next: Vec3[] = [];
  for (let i = 0; i <= controls.length; i++) {
    if (i <= k - degree) next.push(controls[i]!);
    else if (i > k || i >= controls.length) next.push(controls[i - 1]!);
    else {
      const span = knots[i + degree]! - knots[i]!;
      next.push(lerp(controls[i - 1]!, controls[i]!, span > 0 ? (u - knots[i]!) / span : 0));
    }
  }
  return [next, [...knots.slice(0, k + 1), u, ...knots.slice(k + 1)]];
}
