import type { Vec3 } from '../math/vec3';
import type { Curve } from './curve';

/** One smooth piece of a curve over t in [0, 1]: writes point, first or second derivative (order 0, 1, 2). */
export type Piece = (out: Float64Array, at: number, t: number, order: 0 | 1 | 2) => void;

/** A straight piece from `a` to `b`. */
export function linePiece(a: Vec3, b: Vec3): Piece {
  const d: Vec3 = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  return (out, at, t, order) => {
    for (let c = 0; c < 3; c++) out[at + c] = order === 0 ? a[c] + d[c] * t : order === 1 ? d[c] : 0;
  };
}

/** A circular arc about `centre`: centre + radius (cos(at) e1 + sin(at) e2), a from `from` to `to` radians. */
export function arcPiece(centre: Vec3, e1: Vec3, e2: Vec3, radius: number, from: number, to: number): Piece {
  const span = to - from;
  return (out, at, t, order) => {
    const angle = from + span * t;
    const c = Math.cos(angle);
    const s = Math.sin(angle);
    for (let k = 0; k < 3; k++) {
      if (order === 0) out[at + k] = centre[k] + radius * (c * e1[k] + s * e2[k]);
      else if (order === 1) out[at + k] = radius * span * (c * e2[k] - s * e1[k]);
      else out[at + k] = -radius * span * span * (c * e1[k] + s * e2[k]);
    }
  };
}

/** A cubic Bezier piece with the control points p0 to p3. Written out by axis: this is where arc length spends its time. */
export function cubicPiece(p0: Vec3, p1: Vec3, p2: Vec3, p3: Vec3): Piece {
  const coefficients = (c: 0 | 1 | 2) =>
    [3 * (p1[c] - p0[c]), 3 * (p0[c] - 2 * p1[c] + p2[c]), p3[c] - p0[c] + 3 * (p1[c] - p2[c])] as const;
  const [x, y, z] = p0;
  const [ax, bx, cx] = coefficients(0);
  const [ay, by, cy] = coefficients(1);
  const [az, bz, cz] = coefficients(2);
  return (out, at, t, order) => {
    if (order === 1) {
      out[at] = ax + t * (2 * bx + 3 * t * cx);
      out[at + 1] = ay + t * (2 * by + 3 * t * cy);
      out[at + 2] = az + t * (2 * bz + 3 * t * cz);
    } else if (order === 0) {
      out[at] = x + t * (ax + t * (bx + t * cx));
      out[at + 1] = y + t * (ay + t * (by + t * cy));
      out[at + 2] = z + t * (az + t * (bz + t * cz));
    } else {
      out[at] = 2 * bx + 6 * t * cx;
      out[at + 1] = 2 * by + 6 * t * cy;
      out[at + 2] = 2 * bz + 6 * t * cz;
    }
  };
}

/** x, y and z times the weight, and the weight. */
export type Weighted = readonly [number, number, number, number];

/** A rational Bezier piece of any degree; derivatives by the quotient rule (Piegl & Tiller, The NURBS Book, section 4.3). */
export function rationalPiece(controls: readonly Weighted[]): Piece {
  const degree = controls.length - 1;
  // Power basis by axis and for the weight: binomial coefficients times forward differences.
  const power = new Float64Array(4 * (degree + 1));
  let differences = controls.map((control) => [...control]);
  for (let j = 0, binomial = 1; j <= degree; binomial = (binomial * (degree - j)) / ++j) {
    for (let c = 0; c < 4; c++) power[j * 4 + c] = binomial * differences[0][c];
    differences = differences.slice(1).map((next, i) => next.map((v, c) => v - differences[i][c]));
  }
  return (out, at, t, order) => {
    let [w, w1, w2] = [0, 0, 0];
    for (let j = degree; j >= 0; j--) {
      w2 = w2 * t + 2 * w1;
      w1 = w1 * t + w;
      w = w * t + power[j * 4 + 3];
    }
    for (let c = 0; c < 3; c++) {
      let [value, first, second] = [0, 0, 0];
      for (let j = degree; j >= 0; j--) {
        second = second * t + 2 * first;
        first = first * t + value;
        value = value * t + power[j * 4 + c];
      }
      const point = value / w;
      const velocity = (first - w1 * point) / w;
      out[at + c] = order === 0 ? point : order === 1 ? velocity : (second - 2 * w1 * velocity - w2 * point) / w;
    }
  };
}

/** A curve of one piece a leg; `from` = place of each path point among the distinct ones. */
export const legwise = (pieces: readonly Piece[], closed: boolean, from: Int32Array): Curve =>
  piecewise(
    pieces,
    closed,
    Float64Array.from(from, (i) => i / pieces.length),
  );

/** Joins pieces end to end over equal shares of u. `pointParams` are u values, see {@link Curve}. */
export function piecewise(pieces: readonly Piece[], closed: boolean, pointParams: Float64Array): Curve {
  const n = pieces.length;
  const breaks = Float64Array.from({ length: n + 1 }, (_, i) => i / n);
  const scale = [1, n, n * n] as const;
  const evaluate = (out: Float64Array, at: number, u: number, order: 0 | 1 | 2, fromLeft: boolean) => {
    const x = u * n;
    let i = Math.floor(x);
    // u = i / n may round to just below i: a u that is a break belongs to it.
    if (i + 1 < n && breaks[i + 1] <= u) i++;
    if (fromLeft && i > 0 && breaks[i] >= u) i--;
    i = Math.min(Math.max(i, 0), n - 1);
    const t = Math.min(Math.max(x - i, 0), 1);
    pieces[i](out, at, t, order);
    const k = scale[order];
    if (order > 0) {
      out[at] *= k;
      out[at + 1] *= k;
      out[at + 2] *= k;
    }
  };
  return {
    closed,
    breaks,
    pointParams,
    pointAt: (out, at, u) => evaluate(out, at, u, 0, false),
    velocityAt: (out, at, u, fromLeft = false) => evaluate(out, at, u, 1, fromLeft),
    accelerationAt: (out, at, u, fromLeft = false) => evaluate(out, at, u, 2, fromLeft),
  };
}
