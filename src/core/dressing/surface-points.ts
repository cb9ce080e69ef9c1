import type { Vec3 } from '../math/vec3';
import type { Mesh } from '../mesh/mesh';

/** The surface of a mesh by area: to draw points from it that are spread evenly. */
export interface SurfaceAreas {
  readonly mesh: Mesh;
  /** Square metres of all triangles up to each, in their order. */
  readonly sums: Float64Array;
  readonly total: number;
}

/** Of the whole mesh, or of one of its parts. Linear in triangles. */
export function surfaceAreas(mesh: Mesh, part?: string): SurfaceAreas {
  const { positions: p, indices } = mesh;
  const sums = new Float64Array(indices.length / 3);
  const counts = new Uint8Array(sums.length).fill(part === undefined ? 1 : 0);
  for (const { name, start, count } of mesh.parts) if (name === part) counts.fill(1, start / 3, (start + count) / 3);
  let total = 0;
  for (let t = 0; t < sums.length; t++) {
    const [a, b, c] = [indices[t * 3] * 3, indices[t * 3 + 1] * 3, indices[t * 3 + 2] * 3];
    const [ux, uy, uz] = [p[b] - p[a], p[b + 1] - p[a + 1], p[b + 2] - p[a + 2]];
    const [vx, vy, vz] = [p[c] - p[a], p[c + 1] - p[a + 1], p[c + 2] - p[a + 2]];
    if (counts[t] === 1) total += Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx) / 2;
    sums[t] = total;
  }
  return { mesh, sums, total };
}

/** The point of a surface at three numbers in [0, 1): evenly spread where those are; uniform in each triangle by Turk, Graphics Gems (1990), p. 24. */
export function pointOf({ mesh, sums, total }: SurfaceAreas, at: number, s: number, t: number): SurfacePoint {
  const wanted = at * total;
  let [low, high] = [0, sums.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sums[middle] > wanted) high = middle;
    else low = middle + 1;
  }
  const root = Math.sqrt(s);
  const weights = [1 - root, root * (1 - t), root * t];
  const blend = (values: Float32Array): Vec3 => {
    const out: [number, number, number] = [0, 0, 0];
    weights.forEach((weight, k) => {
      const v = mesh.indices[low * 3 + k] * 3;
      for (let c = 0; c < 3; c++) out[c] += weight * values[v + c];
    });
    return out;
  };
  return { place: blend(mesh.positions), normal: blend(mesh.normals) };
}

/** Metres, and the blended normal, not of unit length. */
export interface SurfacePoint {
  readonly place: Vec3;
  readonly normal: Vec3;
}
