import type { Curve } from '../curve/curve';
import type { CurveKindName, CurveSpec } from '../curve/registry';
import type { Vec3 } from '../math/vec3';

/** A curve over u in [0, 1] from formulas for point, first and second derivative. */
export function curveFrom(
  point: (u: number) => Vec3,
  d1: (u: number) => Vec3,
  d2: (u: number) => Vec3,
  closed = false,
): Curve {
  const write = (f: (u: number) => Vec3) => (out: Float64Array, at: number, u: number) => out.set(f(u), at);
  return {
    closed,
    breaks: Float64Array.of(0, 1),
    pointParams: closed ? Float64Array.of(0) : Float64Array.of(0, 1),
    pointAt: write(point),
    velocityAt: write(d1),
    accelerationAt: write(d2),
  };
}

/** (r cos t, r sin t, c t) over some turns; right-handed for c > 0. */
export function helix(r: number, c: number, turns: number): Curve {
  const w = 2 * Math.PI * turns;
  return curveFrom(
    (u) => [r * Math.cos(w * u), r * Math.sin(w * u), c * w * u],
    (u) => [-r * w * Math.sin(w * u), r * w * Math.cos(w * u), c * w],
    (u) => [-r * w * w * Math.cos(w * u), -r * w * w * Math.sin(w * u), 0],
  );
}

/** (a cos t, b sin t, 0), once round from t = `start`. */
export function ellipse(a: number, b: number, start = 0): Curve {
  const w = 2 * Math.PI;
  const t = (u: number) => start + w * u;
  return curveFrom(
    (u) => [a * Math.cos(t(u)), b * Math.sin(t(u)), 0],
    (u) => [-a * w * Math.sin(t(u)), b * w * Math.cos(t(u)), 0],
    (u) => [-a * w * w * Math.cos(t(u)), -b * w * w * Math.sin(t(u)), 0],
    true,
  );
}

/** A path spec through positions. */
export const pathOf = (
  kind: CurveKindName,
  positions: readonly Vec3[],
  closed = false,
  radius?: number,
): CurveSpec => ({
  kind,
  closed,
  points: positions.map((position) => ({ position, ...(radius !== undefined && { radius }) })),
});

/** One cubic leg by its four control points. */
export const cubicOf = ([p0, p1, p2, p3]: readonly [Vec3, Vec3, Vec3, Vec3]): CurveSpec => ({
  kind: 'handles',
  closed: false,
  points: [
    { position: p0, handleOut: [p1[0] - p0[0], p1[1] - p0[1], p1[2] - p0[2]] },
    { position: p3, handleIn: [p2[0] - p3[0], p2[1] - p3[1], p2[2] - p3[2]] },
  ],
});
