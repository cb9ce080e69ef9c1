import { gatherVertices } from './attributes';
import type { Mesh } from './mesh';
import { sortedAlongX } from './reorder';

/** The mesh without vertices that no triangle uses; the others keep their order. The very same mesh where all are used. */
export function onlyUsed(mesh: Mesh): Mesh {
  const count = mesh.positions.length / 3;
  const place = new Uint32Array(count);
  for (let i = 0; i < mesh.indices.length; i++) place[mesh.indices[i]] = 1;
  const live = new Uint32Array(count);
  let used = 0;
  for (let v = 0; v < count; v++) {
    if (place[v] === 0) continue;
    place[v] = used;
    live[used++] = v;
  }
  if (used === count) return mesh;
  return {
    ...mesh,
    ...gatherVertices(mesh, live.subarray(0, used)),
    indices: mesh.indices.map((v) => place[v]),
  };
}

/** The mesh without the vertices that no triangle uses, sorted along x. */
export const usedVertices = (mesh: Mesh): Mesh => sortedAlongX(onlyUsed(mesh));
