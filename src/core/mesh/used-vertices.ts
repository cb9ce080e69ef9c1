import type { Mesh } from './mesh';
import { reorderVertices } from './reorder';
import { orderByX } from './sort-by-x';

/** The mesh without the vertices that no triangle uses, the others sorted along x. */
export function usedVertices(mesh: Mesh): Mesh {
  const isUsed = new Uint8Array(mesh.positions.length / 3);
  for (let i = 0; i < mesh.indices.length; i++) isUsed[mesh.indices[i]] = 1;
  return reorderVertices(
    mesh,
    orderByX(mesh.positions).filter((v) => isUsed[v] === 1),
  );
}
