import { gatherVertices } from '../mesh/attributes';
import type { Mesh, Part } from '../mesh/mesh';

/** How a file holds coats: by the opacity of vertices, as the triangles that are covered by half, or not at all. */
export type CoatManner = 'blended' | 'cut' | 'none';

/**
 * A mesh for files: its coats get vertices of their own, `lift` metres above what they lie on, so that programs that draw both do not have to choose.
 * The very same mesh where it has none. Linear.
 */
export function liftCoats(mesh: Mesh, manner: CoatManner, lift: number): Mesh {
  if (!mesh.parts.some(({ isCoat }) => isCoat)) return mesh;
  const { indices: from, colours } = mesh;
  const count = mesh.positions.length / 3;
  const kept: number[] = Array.from({ length: count }, (_, v) => v);
  const copies = new Map<number, number>();
  const copyOf = (v: number) => copies.get(v) ?? (copies.set(v, kept.push(v) - 1), kept.length - 1);
  const indices: number[] = [];
  const parts: Part[] = [];
  for (const part of mesh.parts) {
    const { isCoat, start, count: own, ...said } = part;
    if (isCoat && manner === 'none') continue;
    const first = indices.length;
    for (let i = start; i < start + own; i += 3) {
      const corners = [from[i], from[i + 1], from[i + 2]];
      const covered = isCoat ? corners.reduce((sum, v) => sum + (colours?.[v * 4 + 3] ?? 1), 0) / 3 : 1;
      if (manner === 'cut' && covered < 0.5) continue;
      for (const v of corners) indices.push(isCoat ? copyOf(v) : v);
    }
    if (indices.length > first) parts.push({ ...said, start: first, count: indices.length - first });
  }
  const gathered = gatherVertices(mesh, kept);
  for (let v = count; v < kept.length; v++)
    for (let c = 0; c < 3; c++) gathered.positions[v * 3 + c] += lift * gathered.normals[v * 3 + c];
  // What lies below is opaque wherever a coat is.
  const opaque = gathered.colours?.map((value, i) => (i % 4 === 3 && (i < count * 4 || manner === 'cut') ? 1 : value));
  return { ...mesh, ...gathered, ...(opaque && { colours: opaque }), indices: Uint32Array.from(indices), parts };
}
