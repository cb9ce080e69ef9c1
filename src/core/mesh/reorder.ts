import { gatherVertices } from './attributes';
import type { Mesh } from './mesh';
import { orderByX } from './sort-by-x';

/** The mesh with those vertices, in the given order: new vertex i is old vertex order[i]. Triangles must use no others. */
export function reorderVertices(mesh: Mesh, order: Uint32Array): Mesh {
  const place = new Uint32Array(mesh.positions.length / 3);
  for (let i = 0; i < order.length; i++) place[order[i]] = i;
  return { ...mesh, ...gatherVertices(mesh, order), indices: mesh.indices.map((v) => place[v]) };
}

/** The same mesh with its vertices sorted along x. */
export const sortedAlongX = (mesh: Mesh): Mesh => reorderVertices(mesh, orderByX(mesh.positions));
