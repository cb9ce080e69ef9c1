import { drawMeshes, type Picture } from '../core/mesh/draw-mesh';
import { ok, type Result } from '../core/math/result';
import type { Project } from '../project/schema';
import { bakeProject } from './bake';
import type { Deriver } from './derive';

/** From where small pictures are taken: like the bent view, at three quarters. */
const TOWARDS = [0.45, 0.62, 0.8] as const;
/** More vertices are not drawn for a small picture. */
const MOST_VERTICES = 2_000_000;

/** A small picture of all that a project lays. Problems: those of the bake. */
export async function smallPicture(
  deriver: Deriver,
  project: Project,
  width: number,
  height: number,
): Promise<Result<Picture>> {
  const baked = await bakeProject(project, deriver, { mostVertices: MOST_VERTICES });
  if (!baked.ok) return baked;
  const meshes = baked.value.scene.map(({ mesh, origin }) => ({ mesh, ...(origin && { origin }) }));
  return ok(drawMeshes(meshes, { width, height, towards: TOWARDS }));
}
