import { fail, ok, type Problem, type Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import { normalizeAll, smoothNormals } from '../core/mesh/smooth-normals';
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
  normalizeAll(normals);
  for (let i = 0; i < raw.uvs.length; i++) if (!Number.isFinite(raw.uvs[i])) raw.uvs[i] = 0;
  for (let i = 0; raw.colours && i < raw.colours.length; i++) if (!Number.isFinite(raw.colours[i])) raw.colours[i] = 1;
  return ok({ ...raw, normals }, warnings);
}
