import { FORWARD, FRAME_STRIDE, UP } from './frame-table';
import { angleFromUp, carryUp, setUp } from './double-reflection';
import { anyNormal, normalize, type Vec3 } from '../math/vec3';
import type { Curve } from '../curve/curve';
import { cubicOf, curveFrom, helix } from '../testing/curves';
import { compiled, evenTable, tableOf } from '../testing/runs';

/** Signed angle about forward at the end from `exact` to the up carried over n even steps of u from `start`. */
function errorAt(curve: Curve, n: number, start: Vec3, exact: Vec3): number {
  const frames = new Float64Array((n + 1) * FRAME_STRIDE);
  for (let i = 0; i <= n; i++) {
    curve.pointAt(frames, i * FRAME_STRIDE, i / n);
    curve.velocityAt(frames, i * FRAME_STRIDE + FORWARD, i / n);
    const t = normalize([...frames.subarray(i * FRAME_STRIDE + 3, i * FRAME_STRIDE + 6)] as unknown as Vec3);
    frames.set(t, i * FRAME_STRIDE + FORWARD);
  }
  setUp(frames, 0, ...start);
  for (let i = 0; i < n; i++) carryUp(frames, i, i + 1);
  return -angleFromUp(frames, n, ...exact);
}

// W. Wang, B. Juettler, D. Zheng, Y. Liu, Computation of rotation minimizing frames, ACM TOG 27(1), art. 2, 2008.
describe('carryUp', () => {
  /** U(s) = cos(phi) N - sin(phi) B at the end of a helix, phi = tau L. */
  function exactOnHelix(r: number, c: number, turns: number): Vec3 {
    const w = Math.hypot(r, c);
    const phi = (2 * Math.PI * turns * c) / w;
    const t = 2 * Math.PI * turns;
    const n: Vec3 = [-Math.cos(t), -Math.sin(t), 0];
    const b: Vec3 = [(c * Math.sin(t)) / w, (-c * Math.cos(t)) / w, r / w];
    return n.map((x, k) => Math.cos(phi) * x - Math.sin(phi) * b[k]) as unknown as Vec3;
  }

  it.each([
    { r: 1, c: 0.5, turns: 2, errors: [-2.97546e-5, -1.85708e-6, -1.16028e-7, -7.25111e-9] },
    { r: 2, c: 1.5, turns: 1, errors: [-1.79325e-6, -1.1207e-7, -7.00428e-9, -4.37766e-10] },
  ])('has the published errors on the helix r = $r, c = $c: fourth order', ({ r, c, turns, errors }) => {
    const exact = exactOnHelix(r, c, turns);
    const got = [32, 64, 128, 256].map((n) => errorAt(helix(r, c, turns), n, [-1, 0, 0], exact));
    got.forEach((error, i) => expect(Math.abs(error - errors[i])).toBeLessThan(Math.abs(errors[i]) * 2e-3 + 1e-14));
    expect(got[0] / got[1]).toBeGreaterThan(15.9);
    expect(got[1] / got[2]).toBeLessThan(16.1);
  });

  it('has the published errors on a cubic in space', () => {
    const cubic = compiled(
      cubicOf([
        [0, 0, 0],
        [1, 2, 0],
        [3, 1, 2],
        [4, 0, 3],
      ]),
    );
    const exact: Vec3 = [-0.6197279970606, -0.7702474335543, -0.1505194364937];
    const start: Vec3 = [2 / 3, -1 / 3, 2 / 3];
    const published: Record<number, number> = { 16: -4.67636e-8, 32: -2.9606e-9, 64: -1.85635e-10 };
    for (const [n, error] of Object.entries(published)) {
      expect(Math.abs(errorAt(cubic, Number(n), start, exact) - error)).toBeLessThan(Math.abs(error) * 0.01 + 1e-12);
    }
  });
});

// phi = 2 pi writhe (mod 2 pi): G. Calugareanu 1959/1961; J. H. White, Amer. J. Math. 91, 1969; F. B. Fuller, PNAS 68, 1971.
describe('closed paths', () => {
  const torusKnot = (p: number, q: number, R: number, r: number, sign: number): Curve => {
    const w = 2 * Math.PI;
    const at = (t: number): Vec3 => [
      (R + r * Math.cos(q * t)) * Math.cos(p * t),
      (R + r * Math.cos(q * t)) * Math.sin(p * t),
      sign * r * Math.sin(q * t),
    ];
    const d1 = (t: number): Vec3 => {
      const [ring, dring] = [R + r * Math.cos(q * t), -r * q * Math.sin(q * t)];
      return [
        w * (dring * Math.cos(p * t) - p * ring * Math.sin(p * t)),
        w * (dring * Math.sin(p * t) + p * ring * Math.cos(p * t)),
        w * sign * r * q * Math.cos(q * t),
      ];
    };
    return curveFrom(
      (u) => at(w * u),
      (u) => d1(w * u),
      () => [0, 0, 0],
      true,
    );
  };

  it.each([
    { name: 'left-handed trefoil', curve: torusKnot(2, 3, 2, 1, 1), holonomy: 3.026992185112 },
    { name: 'right-handed knot 2, 5', curve: torusKnot(2, 5, 2, 0.8, -1), holonomy: 2.718293080207 },
    {
      name: 'squeezed saddle',
      curve: curveFrom(
        (u) => [Math.cos(2 * Math.PI * u), 0.5 * Math.sin(2 * Math.PI * u), 0.4 * Math.sin(4 * Math.PI * u)],
        (u) => [
          -2 * Math.PI * Math.sin(2 * Math.PI * u),
          Math.PI * Math.cos(2 * Math.PI * u),
          1.6 * Math.PI * Math.cos(4 * Math.PI * u),
        ],
        () => [0, 0, 0],
        true,
      ),
      holonomy: -2.130802287535,
    },
  ])('are closed by turning back the holonomy: $name', ({ curve, holonomy }) => {
    const table = evenTable(curve, 'leastTwist', { intervals: 4096 });
    expect(Math.abs(table.closingTwist + holonomy)).toBeLessThan(1e-6);
    const first = [...table.frames.subarray(UP, UP + 3)];
    const last = [
      ...table.frames.subarray(table.intervals * FRAME_STRIDE + UP, table.intervals * FRAME_STRIDE + UP + 3),
    ];
    expect(last).toEqual(first);
  });

  it('start with a vector square to forward even when the path sets out along the up direction', () => {
    const table = tableOf(helix(1, 100, 0.1), 'leastTwist', {}, [0, 1, 0]);
    const f = [...table.frames.subarray(0, 12)];
    expect(Math.abs(f[3] * f[6] + f[4] * f[7] + f[5] * f[8])).toBeLessThan(1e-12);
    expect(anyNormal([0, 1, 0])).toEqual([1, 0, 0]);
  });
});
