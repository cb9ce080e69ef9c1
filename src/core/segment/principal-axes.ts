import { cross, dot, type Vec3 } from '../math/vec3';
import { triangleArea } from '../mesh/measure';
import type { Mesh } from '../mesh/mesh';

/** Unit vectors: the direction in which a surface is longest, one across it as near to `up` as can be, and the third; right-handed. */
export type AxisFrame = readonly [forward: Vec3, up: Vec3, side: Vec3];

/**
 * The principal axes of a mesh's surface: eigenvectors of its covariance, faces weighted by area. Forward looks to the side on which
 * the file's +x, else +z, lies; up is the axis across it that is nearest to the file's +y.
 */
export function principalAxes({ positions: p, indices }: Pick<Mesh, 'positions' | 'indices'>): AxisFrame {
  const triangles = indices.length / 3;
  const middles = new Float64Array(triangles * 3);
  const areas = new Float64Array(triangles);
  const mean = [0, 0, 0];
  let total = 0;
  for (let t = 0; t < triangles; t++) {
    const [a, b, c] = [indices[t * 3] * 3, indices[t * 3 + 1] * 3, indices[t * 3 + 2] * 3];
    total += areas[t] = triangleArea(p, a, b, c);
    for (let k = 0; k < 3; k++) {
      middles[t * 3 + k] = (p[a + k] + p[b + k] + p[c + k]) / 3;
      mean[k] += middles[t * 3 + k] * areas[t];
    }
  }
  for (let c = 0; c < 3; c++) mean[c] /= total || 1;
  const moments = new Float64Array(6); // xx, xy, xz, yy, yz, zz
  for (let t = 0; t < triangles; t++) {
    const x = middles[t * 3] - mean[0];
    const y = middles[t * 3 + 1] - mean[1];
    const z = middles[t * 3 + 2] - mean[2];
    const area = areas[t];
    moments[0] += x * x * area;
    moments[1] += x * y * area;
    moments[2] += x * z * area;
    moments[3] += y * y * area;
    moments[4] += y * z * area;
    moments[5] += z * z * area;
  }
  const axes = eigenvectors([...moments]);
  const [longest, ...across] = axes;
  const forward = facing(longest, Math.abs(longest[0]) > 0.1 ? [1, 0, 0] : [0, 0, 1]);
  const upright = across.sort((a, b) => Math.abs(b[1]) - Math.abs(a[1]))[0];
  const up = facing(upright, [0, 1, 0]);
  return [forward, up, cross(forward, up)];
}

const facing = (v: Vec3, reference: Vec3): Vec3 => (dot(v, reference) < 0 ? [-v[0], -v[1], -v[2]] : v);

/** Eigenvectors of a symmetric 3 x 3 matrix (xx, xy, xz, yy, yz, zz), largest eigenvalue first; cyclic Jacobi rotations. */
function eigenvectors([xx, xy, xz, yy, yz, zz]: readonly number[]): Vec3[] {
  const a = [
    [xx, xy, xz],
    [xy, yy, yz],
    [xz, yz, zz],
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
      if (a[i][j] === 0) continue;
      const theta = (a[j][j] - a[i][i]) / (2 * a[i][j]);
      const t = (theta < 0 ? -1 : 1) / (Math.abs(theta) + Math.hypot(theta, 1));
      const c = 1 / Math.hypot(t, 1);
      const s = t * c;
      for (let k = 0; k < 3; k++) {
        [a[k][i], a[k][j]] = [c * a[k][i] - s * a[k][j], s * a[k][i] + c * a[k][j]];
      }
      for (let k = 0; k < 3; k++) {
        [a[i][k], a[j][k]] = [c * a[i][k] - s * a[j][k], s * a[i][k] + c * a[j][k]];
        [v[k][i], v[k][j]] = [c * v[k][i] - s * v[k][j], s * v[k][i] + c * v[k][j]];
      }
    }
  }
  return [0, 1, 2].sort((i, j) => a[j][j] - a[i][i]).map((i): Vec3 => [v[0][i], v[1][i], v[2][i]]);
}
