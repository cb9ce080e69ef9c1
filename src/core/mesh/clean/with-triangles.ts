import type { Mesh, Part } from '../mesh';

/** The mesh with only the triangles that `keeps` (asked with the place of their first index); the very same mesh when it keeps all. */
export function withTriangles(mesh: Mesh, keeps: (i: number) => boolean): Mesh {
  const kept = new Uint32Array(mesh.indices.length);
  const parts: Part[] = [];
  let at = 0;
  for (const part of mesh.parts) {
    const start = at;
    for (let i = part.start; i < part.start + part.count; i += 3) {
      if (!keeps(i)) continue;
      for (let k = 0; k < 3; k++) kept[at++] = mesh.indices[i + k]!;
    }
    if (at > start) parts.push({ ...part, start, count: at - start });
  }
  return at === mesh.indices.length ? mesh : { ...mesh, indices: kept.slice(0, at), parts };
}
