import type { Mesh } from '../mesh';

/** The mesh with its inside out: triangles run the other way, normals look back. */
export function turnInsideOut(mesh: Mesh): Mesh {
  const indices = mesh.indices.slice();
  for (let i = 0; i < indices.length; i += 3) [indices[i + 1], indices[i + 2]] = [indices[i + 2], indices[i + 1]];
  return { ...mesh, indices, normals: mesh.normals.map((n) => -n) };
}
