import fc from 'fast-check';
import { integrate, integrateShort } from './gauss-legendre';
import { add, anyNormal, cross, dot, length, normalize, rotate, scale, sub, type Vec3 } from './vec3';

// An n-point Gauss-Legendre rule is exact for polynomials up to degree 2 n - 1 (Abramowitz & Stegun, 25.4.29).
describe('quadrature', () => {
  it.each([
    ['integrate', integrate, 31],
    ['integrateShort', integrateShort, 11],
  ] as const)('%s is exact up to its degree and not beyond', (_, rule, degree) => {
    for (let n = 0; n <= degree; n++) expect(rule((x) => x ** n, 0, 1)).toBeCloseTo(1 / (n + 1), 13);
    const beyond = rule((x) => (2 * x - 1) ** (degree + 1), 0, 1);
    expect(Math.abs(beyond * (degree + 2) - 1)).toBeGreaterThan(1e-12);
  });

  it('turns its sign with its bounds', () => {
    expect(integrate(Math.exp, 1, 0)).toBeCloseTo(1 - Math.E, 14);
  });
});

describe('vectors', () => {
  const coordinate = fc.double({ min: -10, max: 10, noNaN: true });
  const vector = fc.tuple(coordinate, coordinate, coordinate) as fc.Arbitrary<Vec3>;
  const unit = vector.filter((v) => length(v) > 0.1).map((v) => normalize(v));

  it('turn about an axis by the angle that is then measured', () => {
    fc.assert(
      fc.property(unit, fc.double({ min: -3.1, max: 3.1, noNaN: true }), (axis, angle) => {
        const start = anyNormal(axis);
        const turned = rotate(start, axis, angle);
        expect(length(turned)).toBeCloseTo(1, 12);
        expect(dot(turned, axis)).toBeCloseTo(0, 12);
        expect(Math.atan2(dot(cross(start, turned), axis), dot(start, turned))).toBeCloseTo(angle, 10);
      }),
      { seed: 2 },
    );
  });

  it('have a normal square to them, whichever way they point', () => {
    fc.assert(
      fc.property(unit, (t) => {
        const n = anyNormal(t);
        expect(Math.abs(dot(n, t))).toBeLessThan(1e-12);
        expect(length(n)).toBeCloseTo(1, 12);
      }),
      { seed: 4 },
    );
  });

  it('obey the identity of Lagrange: |a x b|^2 + (a.b)^2 = |a|^2 |b|^2', () => {
    fc.assert(
      fc.property(vector, vector, (a, b) => {
        const left = length(cross(a, b)) ** 2 + dot(a, b) ** 2;
        expect(left).toBeCloseTo(length(a) ** 2 * length(b) ** 2, 6);
        expect(length(sub(add(a, b), add(b, a)))).toBe(0);
        expect(scale(a, 2)).toEqual(add(a, a));
      }),
      { seed: 6 },
    );
  });
});
