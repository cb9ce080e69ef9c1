import { faceNormal } from './measure';

/** Vertex normals as the sum of the faces' normals, weighted by area. */
export function smoothNormals(positions: Float32Array, indices: Uint32Array): Float32Array {
  const normals = new Float32Array(positions.length);
  addFaceNormals(normals, positions, indices, 0, indices.length);
  return normals;
}

/** Adds the faces' normals (length = twice the area) to their vertices, for the triangles from index `start` to `end`. */
export function addFaceNormals(
  normals: Float32Array,
  p: Float32Array,
  indices: Uint32Array,
  start: number,
  end: number,
): void {
  for (let i = start; i < end; i += 3) {
    const a = indices[i] * 3;
    const b = indices[i + 1] * 3;
    const c = indices[i + 2] * 3;
    const [x, y, z] = faceNormal(p, a, b, c);
    for (const at of [a, b, c]) {
      normals[at] += x;
      normals[at + 1] += y;
      normals[at + 2] += z;
    }
  }
}

/** Gives vectors, flat xyz, the length 1, in place; those without a length point up. */
export function normalizeAll(normals: Float32Array): void {
  for (let i = 0; i < normals.length; i += 3) {
    const l = Math.sqrt(normals[i] ** 2 + normals[i + 1] ** 2 + normals[i + 2] ** 2);
    if (Math.abs(l - 1) < 1e-7) continue;
    const isSound = l > 1e-12 && Number.isFinite(l);
    normals[i] = isSound ? normals[i] / l : 0;
    normals[i + 1] = isSound ? normals[i + 1] / l : 1;
    normals[i + 2] = isSound ? normals[i + 2] / l : 0;
  }
}
