import type { Mesh, Part } from '../mesh';

/**
 * The mesh with only the triangles that `keeps` (asked with the place of their first index), and only the vertices they use; the very
 * same mesh when it keeps all.
 */
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
  return onlyUsed(at === mesh.indices.length ? mesh : { ...mesh, indices: kept.slice(0, at), parts });
}

/** The mesh without vertices that no triangle uses; the others keep their order. */
export function onlyUsed(mesh: Mesh): Mesh {
  const count = mesh.positions.length / 3;
  const place = new Int32Array(count).fill(-1);
  for (let i = 0; i < mesh.indices.length; i++) place[mesh.indices[i]!] = 0;
  let used = 0;
  for (let v = 0; v < count; v++) if (place[v] === 0) place[v] = used++;
  if (used === count) return mesh;
  const pick = (from: Float32Array, size: number) => {
    const to = new Float32Array(used * size);
    for (let v = 0; v < count; v++) {
      if (place[v]! < 0) continue;
      for (let c = 0; c < size; c++) to[place[v]! * size + c] = from[v * size + c]!;
    }
    return to;
  };
  const indices = new Uint32Array(mesh.indices.length);
  for (let i = 0; i < indices.length; i++) indices[i] = place[mesh.indices[i]!]!;
  return {
    ...mesh,
    positions: pick(mesh.positions, 3),
    normals: pick(mesh.normals, 3),
    uvs: pick(mesh.uvs, 2),
    ...(mesh.colours && { colours: pick(mesh.colours, 4) }),
    indices,
  };
}
