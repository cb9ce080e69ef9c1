import type { Mesh } from './mesh';
import { orderByX } from './sort-by-x';
import { reorderVertices } from './reorder';

/** The mesh without the vertices that no triangle uses, sorted along x. */
export function usedVertices(mesh: Mesh): Mesh {
  const used = new Uint8Array(mesh.positions.length / 3);
  for (const v of mesh.indices) used[v] = 1;
  const order = orderByX(mesh.positions);
  // Unused vertices go last and are then left out.
  const live = order.filter((v) => used[v] === 1);
  const all = new Uint32Array(order.length);
  all.set(live);
  all.set(
    order.filter((v) => used[v] === 0),
    live.length,
  );
  const sorted = reorderVertices(mesh, all);
  return {
    ...sorted,
    positions: sorted.positions.slice(0, live.length * 3),
    normals: sorted.normals.slice(0, live.length * 3),
    uvs: sorted.uvs.slice(0, live.length * 2),
    ...(sorted.colours && { colours: sorted.colours.slice(0, live.length * 4) }),
  };
}
