import { cross, dot, type Vec3 } from '../math/vec3';
import type { Mesh } from '../mesh/mesh';

/** Unit vectors: the direction in which a surface is longest, one across it as near to `up` as can be, and the third; right-handed. */
export type AxisFrame = readonly [forward: Vec3, up: Vec3, side: Vec3];

/**
 * The principal axes of a mesh's surface: eigenvectors of its covariance, faces weighted by area. Forward looks to the side on which
 * the file's +x, else +z, lies; up is the axis across it that is nearest to the file's +y.
 */
export function principalAxes({ positions: p, indices }: Pick<Mesh, 'positions' | 'indices'>): AxisFrame {
  const mean = [0, 0, 0];
  let total = 0;
  const moments = [0, 0, 0, 0, 0, 0]; // xx, xy, xz, yy, yz, zz
  const each = (visit: (middle: readonly number[], area: number) => void) => {
    for (let i = 0; i < indices.length; i += 3) {
      const [a, b, c] = [indices[i]! * 3, indices[i + 1]! * 3, indices[i + 2]! * 3];
      const at = (k: number): Vec3 => [p[k]!, p[k + 1]!, p[k + 2]!];
      const [u, v, w] = [at(a), at(b), at(c)];
      const n = cross([v[0] - u[0], v[1] - u[1], v[2] - u[2]], [w[0] - u[0], w[1] - u[1], w[2] - u[2]]);
      const middle = [(u[0] + v[0] + w[0]) / 3, (u[1] + v[1] + w[1]) / 3, (u[2] + v[2] + w[2]) / 3];
      visit(middle, Math.hypot(...n) / 2);
    }
  };
  each((middle, area) => {
    total += area;
    for (let c = 0; c < 3; c++) mean[c]! += middle[c]! * area;
  });
  for (let c = 0; c < 3; c++) mean[c]! /= total || 1;
  each((middle, area) => {
    const d = [middle[0]! - mean[0]!, middle[1]! - mean[1]!, middle[2]! - mean[2]!];
    let k = 0;
    for (let i = 0; i < 3; i++) for (let j = i; j < 3; j++) moments[k++]! += d[i]! * d[j]! * area;
  });
  const axes = eigenvectors(moments);
  const [longest, ...across] = axes;
  const forward = facing(longest!, Math.abs(longest![0]) > 0.1 ? [1, 0, 0] : [0, 0, 1]);
  const upright = across.sort((a, b) => Math.abs(b[1]) - Math.abs(a[1]))[0]!;
  const up = facing(upright, [0, 1, 0]);
  return [forward, up, cross(forward, up)];
}

const facing = (v: Vec3, reference: Vec3): Vec3 => (dot(v, reference) < 0 ? [-v[0], -v[1], -v[2]] : v);

/** Eigenvectors of a symmetric 3 x 3 matrix (xx, xy, xz, yy, yz, zz), largest eigenvalue first; cyclic Jacobi rotations. */
function eigenvectors([xx, xy, xz, yy, yz, zz]: readonly number[]): Vec3[] {
  const a = [
    [xx!, xy!, xz!],
    [xy!, yy!, yz!],
    [xz!, yz!, zz!],
  ];
  const v = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  for (let sweep = 0; sweep < 60; sweep++) {
    for (const [i, j] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ] as const) {
      if (a[i]![j] === 0) continue;
      const theta = (a[j]![j]! - a[i]![i]!) / (2 * a[i]![j]!);
      const t = (theta < 0 ? -1 : 1) / (Math.abs(theta) + Math.hypot(theta, 1));
      const c = 1 / Math.hypot(t, 1);
      const s = t * c;
      for (let k = 0; k < 3; k++) {
        [a[k]![i], a[k]![j]] = [c * a[k]![i]! - s * a[k]![j]!, s * a[k]![i]! + c * a[k]![j]!];
      }
      for (let k = 0; k < 3; k++) {
        [a[i]![k], a[j]![k]] = [c * a[i]![k]! - s * a[j]![k]!, s * a[i]![k]! + c * a[j]![k]!];
        [v[k]![i], v[k]![j]] = [c * v[k]![i]! - s * v[k]![j]!, s * v[k]![i]! + c * v[k]![j]!];
      }
    }
  }
  return [0, 1, 2].sort((i, j) => a[j]![j]! - a[i]![i]!).map((i): Vec3 => [v[0]![i]!, v[1]![i]!, v[2]![i]!]);
}
