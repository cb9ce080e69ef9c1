import type { Vec3 } from '../math/vec3';
import type { Mesh } from './mesh';

type Triangles = Pick<Mesh, 'positions' | 'indices'>;

/** Enclosed volume in cubic metres by the divergence theorem; negative when inside out. Exact for closed meshes only. */
export function volume({ positions: p, indices }: Triangles): number {
  let six = 0;
  for (let i = 0; i < indices.length; i += 3) {
    const a = indices[i] * 3;
    const b = indices[i + 1] * 3;
    const c = indices[i + 2] * 3;
    six +=
      p[a] * (p[b + 1] * p[c + 2] - p[b + 2] * p[c + 1]) +
      p[a + 1] * (p[b + 2] * p[c] - p[b] * p[c + 2]) +
      p[a + 2] * (p[b] * p[c + 1] - p[b + 1] * p[c]);
  }
  return six / 6;
}

/** Surface area in square metres. */
export function area({ positions: p, indices }: Triangles): number {
  let sum = 0;
  for (let i = 0; i < indices.length; i += 3)
    sum += triangleArea(p, indices[i] * 3, indices[i + 1] * 3, indices[i + 2] * 3);
  return sum;
}

/** Normal of a triangle whose corners' coordinates begin at a, b and c in flat xyz; it is as long as twice the area. */
export function faceNormal(p: Float32Array, a: number, b: number, c: number): Vec3 {
  const ux = p[b] - p[a];
  const uy = p[b + 1] - p[a + 1];
  const uz = p[b + 2] - p[a + 2];
  const vx = p[c] - p[a];
  const vy = p[c + 1] - p[a + 1];
  const vz = p[c + 2] - p[a + 2];
  return [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
}

/** Area of a triangle whose corners' coordinates begin at a, b and c in flat xyz. */
export function triangleArea(p: Float32Array, a: number, b: number, c: number): number {
  const [x, y, z] = faceNormal(p, a, b, c);
  return Math.sqrt(x * x + y * y + z * z) / 2;
}
