import { fail, ok, type Problem, type Result } from '../core/math/result';
import { faceNormal } from '../core/mesh/measure';
import type { Mesh } from '../core/mesh/mesh';
import { MAX_TRIANGLES } from './format';

/** A mesh as a reader found it: normals may be missing. */
export type RawMesh = Omit<Mesh, 'normals'> & { readonly normals: Float32Array | undefined };

/**
 * Makes a read mesh sound: refuses numbers that are none and indices out of range, computes normals where there are none
 * and gives those without length a direction. Writes into the arrays given.
 * Problems: `mesh.empty`, `mesh.too-large`, `mesh.not-a-number`, `mesh.index-out-of-range`.
 */
export function fixMesh(raw: RawMesh, warnings: readonly Problem[] = []): Result<Mesh> {
  const count = raw.positions.length / 3;
  if (raw.indices.length === 0) return fail('mesh.empty');
  if (raw.indices.length / 3 > MAX_TRIANGLES) {
    return fail('mesh.too-large', { triangles: raw.indices.length / 3, most: MAX_TRIANGLES });
  }
  for (let i = 0; i < raw.positions.length; i++) {
    if (!Number.isFinite(raw.positions[i])) return fail('mesh.not-a-number', { vertex: Math.floor(i / 3) });
  }
  for (let i = 0; i < raw.indices.length; i++) {
    if (raw.indices[i] >= count) return fail('mesh.index-out-of-range', { index: raw.indices[i], vertices: count });
  }
  const normals = raw.normals ?? smoothNormals(raw.positions, raw.indices);
  for (let i = 0; i < normals.length; i += 3) {
    const l = Math.sqrt(normals[i] ** 2 + normals[i + 1] ** 2 + normals[i + 2] ** 2);
    if (Math.abs(l - 1) < 1e-7) continue;
    const isSound = l > 1e-12 && Number.isFinite(l);
    normals[i] = isSound ? normals[i] / l : 0;
    normals[i + 1] = isSound ? normals[i + 1] / l : 1;
    normals[i + 2] = isSound ? normals[i + 2] / l : 0;
  }
  for (let i = 0; i < raw.uvs.length; i++) if (!Number.isFinite(raw.uvs[i])) raw.uvs[i] = 0;
  for (let i = 0; raw.colours && i < raw.colours.length; i++) if (!Number.isFinite(raw.colours[i])) raw.colours[i] = 1;
  return ok({ ...raw, normals }, warnings);
}

/** Vertex normals as the sum of the faces' normals, weighted by area. */
function smoothNormals(positions: Float32Array, indices: Uint32Array): Float32Array {
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
