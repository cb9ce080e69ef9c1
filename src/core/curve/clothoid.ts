import type { Vec3 } from '../math/vec3';
import type { Piece } from './piecewise';

/**
 * The integral of cos(x²) and sin(x²) from 0 to x, by their power series (Abramowitz & Stegun 7.3.11, 7.3.13, rescaled). For the turns
 * of a corner (x² below 1.6) 14 terms are exact to a float's end.
 */
function fresnel(x: number): readonly [number, number] {
  const xx = x * x;
  let [c, s] = [0, 0];
  let term = x; // x^(2m + 1) / m!, signs by twos
  for (let m = 0; m < 28; m++) {
    const sign = m % 4 < 2 ? 1 : -1;
    const value = (sign * term) / (2 * m + 1);
    if (m % 2 === 0) c += value;
    else s += value;
    term *= xx / (m + 1);
  }
  return [c, s];
}

/** Where a clothoid that turns by `turn` radians up to a radius of one ends: how far the circle is shifted inwards, and where its middle lies along. */
export function clothoidEnd(turn: number): { readonly shift: number; readonly along: number } {
  if (turn <= 0) return { shift: 0, along: 0 };
  // Length 2 turn; heading = s² / (4 turn), so with x = s / (2 sqrt(turn)) position = 2 sqrt(turn) (C(x), S(x)), x up to sqrt(turn).
  const k = 2 * Math.sqrt(turn);
  const [c, s] = fresnel(Math.sqrt(turn));
  return { shift: k * s - (1 - Math.cos(turn)), along: k * c - Math.sin(turn) };
}

/** A clothoid of the given length from `start`, heading `ahead` and turning towards `inward`: curvature from 0 to 1 / radius. */
export function clothoidPiece(start: Vec3, ahead: Vec3, inward: Vec3, radius: number, length: number): Piece {
  const k = Math.sqrt(2 * radius * length); // heading = (s / k)²
  return (out, at, t, order) => {
    const s = length * t;
    const heading = (s / k) ** 2;
    const [c, n] = [Math.cos(heading), Math.sin(heading)];
    const curvature = (length * length * s) / (radius * length);
    const [fc, fs] = order === 0 ? fresnel(s / k) : [0, 0];
    const x = order === 0 ? k * fc : order === 1 ? length * c : -curvature * n;
    const y = order === 0 ? k * fs : order === 1 ? length * n : curvature * c;
    for (let i = 0; i < 3; i++) out[at + i] = (order === 0 ? start[i] : 0) + x * ahead[i] + y * inward[i];
  };
}
