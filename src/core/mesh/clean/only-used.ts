import { compact } from '../compact';
import type { Mesh } from '../mesh';

/** The mesh without vertices that no triangle uses; the very same mesh where all are used. */
export async function onlyUsed(mesh: Mesh): Promise<Mesh> {
  const { from: _, ...used } = await compact(mesh, mesh.indices);
  return used.positions.length === mesh.positions.length ? mesh : { ...mesh, ...used };
}
