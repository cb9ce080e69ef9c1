import { partsOf } from '../core/layout/course-parts';
import { drawMeshes, type Picture } from '../core/mesh/draw-mesh';
import { ok, type Result } from '../core/math/result';
import type { Path, Project } from '../project/schema';
import { bakeProject } from './bake';
import type { Deriver } from './derive';

/** From where small pictures are taken: like the bent view, at three quarters. */
const TOWARDS = [0.45, 0.62, 0.8] as const;
/** A path that shows something is so many times as long as that is wide, but so many natural lengths at the least and the most. */
const WIDTHS = 14;
const [LEAST, MOST] = [1, 6];
/** How steep it is where something has to rise: about a stair's slope. */
const SLOPE = 0.55;
/** More vertices are not drawn for a small picture. */
const MOST_VERTICES = 2_000_000;

/** A small picture of all that a project lays; a path without points becomes one that shows its runs well, level, or rising where that will not do. Problems: those of the bake. */
export async function smallPicture(
  deriver: Deriver,
  project: Project,
  width: number,
  height: number,
): Promise<Result<Picture>> {
  const bake = async (slope: number) =>
    bakeProject(await withPaths(deriver, project, slope), deriver, { mostVertices: MOST_VERTICES, coats: 'cut' });
  const level = await bake(0);
  const baked = level.ok ? level : await bake(SLOPE);
  if (!baked.ok) return baked;
  const meshes = baked.value.scene.map(({ mesh, origin }) => ({ mesh, ...(origin && { origin }) }));
  return ok(drawMeshes(meshes, { width, height, towards: TOWARDS }));
}

/** A path that bends both ways, so long, and rises by `rise`. Metres. */
function showingCurve(length: number, rise: number): Path['curve'] {
  const at = (x: number, z: number) => ({ position: [x * length, (x + 0.42) * rise, z * length] as const });
  return { kind: 'smooth', closed: false, points: [at(-0.42, 0.1), at(-0.15, -0.1), at(0.15, 0.1), at(0.42, -0.1)] };
}

async function withPaths(deriver: Deriver, project: Project, slope: number): Promise<Project> {
  const paths = project.paths.map(async (path) => {
    if (path.curve.points.length > 0) return path;
    const used = project.runs.filter((run) => run.path === path.id).flatMap(({ courses }) => courses.flatMap(partsOf));
    const made = await Promise.all(
      project.segments.filter(({ id }) => used.includes(id)).map((segment) => deriver.segments.ready(segment)),
    );
    const shown = made.map((ready) => {
      if (!ready.ok) return 0;
      const { length, box } = ready.value.prepared;
      const wide = Math.max(box.max[2] - box.min[2], box.max[1] - box.min[1]);
      return length * Math.min(Math.max((WIDTHS * wide) / length, LEAST), MOST);
    });
    const length = Math.max(...shown, 0);
    return length > 0 ? { ...path, curve: showingCurve(length, length * slope) } : path;
  });
  return { ...project, paths: await Promise.all(paths) };
}
