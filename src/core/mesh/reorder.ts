import type { Mesh } from './mesh';

/** The same mesh with its vertices in the given order: new vertex i is old vertex order[i]. */
export function reorderVertices(mesh: Mesh, order: Uint32Array): Mesh {
  const count = order.length;
  const place = new Uint32Array(count);
  const positions = new Float32Array(count * 3);
  const normals = new Float32Array(count * 3);
  const uvs = new Float32Array(count * 2);
  for (let i = 0; i < count; i++) {
    const v = order[i]!;
    place[v] = i;
    for (let c = 0; c < 3; c++) {
      positions[i * 3 + c] = mesh.positions[v * 3 + c]!;
      normals[i * 3 + c] = mesh.normals[v * 3 + c]!;
    }
    uvs[i * 2] = mesh.uvs[v * 2]!;
    uvs[i * 2 + 1] = mesh.uvs[v * 2 + 1]!;
  }
  const { colours } = mesh;
  const moved = colours && new Float32Array(count * 4);
  if (colours && moved) {
    for (let i = 0; i < count; i++) for (let c = 0; c < 4; c++) moved[i * 4 + c] = colours[order[i]! * 4 + c]!;
  }
  const indices = new Uint32Array(mesh.indices.length);
  for (let i = 0; i < indices.length; i++) indices[i] = place[mesh.indices[i]!]!;
  return { ...mesh, positions, normals, uvs, ...(moved && { colours: moved }), indices };
}
