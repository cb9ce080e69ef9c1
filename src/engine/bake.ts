import { liftCoats, type CoatManner } from '../core/bending/lift-coats';
import { halfWidth } from '../core/segment/prepared-segment';
import { weldSeams } from '../core/bending/weld-seams';
import { instancesOf } from '../core/bending/instances';
import { buildRunMesh } from '../core/bending/build-run';
import { partOf, type OnProgress } from '../core/math/progress';
import { vertexCount } from '../core/mesh/mesh';
import { about, fail, ok, type Problem, type Result } from '../core/math/result';
import type { MeshFormat, NamedBytes, NamedMesh, Repeated } from '../formats/format';
import { readMesh, writerFor } from '../formats/registry';
import type { Assets } from '../project/project-file';
import type { Guide, Project } from '../project/schema';
import { projectAt } from '../project/keys/project-at';
import { courseName } from '../project/commands/courses';
import { planCourse, type Deriver } from './derive';
import type { DerivedCourse } from './derived';
import { guideMeshes } from './guide-meshes';
import { sourceOf } from './run-source';
import type { LoadAsset } from './segment-stage';
import { wheelsAsGuides } from './wheels-of';
import { buildReport, type ReportOptions, type RunReport } from './report';

export interface BakeOptions extends ReportOptions {
  /** Name or id of the one run to bake; absent: all visible ones. */
  readonly run?: string | undefined;
  /** Seconds; null = finished. */
  readonly time?: number | null;
  /** Visible guides are baked too, pale. */
  readonly guides?: boolean;
  readonly onProgress?: OnProgress;
  /** How pieces that keep their shape are written, by formats that can; absent = each for itself. */
  readonly repeated?: Repeated | undefined;
  /** How the format holds coats; absent = not at all. */
  readonly coats?: CoatManner | undefined;
  /** Vertices of all runs together; more are refused before they are made. */
  readonly mostVertices?: number;
  /** Nothing that is there is no problem: the file holds nothing. */
  readonly mayBeEmpty?: boolean;
}

export interface Baked {
  readonly scene: readonly NamedMesh[];
  readonly reports: readonly RunReport[];
}

/** Looks assets up in a map and reads them. */
export const loadFrom =
  (assets: Assets): LoadAsset =>
  async (id) => {
    const bytes = assets.get(id);
    return bytes ? readMesh([{ name: `${id}.glb`, bytes }]) : fail('asset.missing', { id });
  };

/** Works out the final geometry. Problems: `run.unknown`, `report.too-many-frames`, `bake.too-many-vertices`, `bake.empty`, `bake.not-a-number`, and those of the runs with their place. */
export async function bakeProject(asked: Project, deriver: Deriver, options: BakeOptions = {}): Promise<Result<Baked>> {
  const { run: wanted, time = null, onProgress, mostVertices = Infinity } = options;
  const project = projectAt(asked, time);
  const runs = project.runs.filter(({ id, name, visible }) =>
    wanted === undefined ? visible : id === wanted || name === wanted,
  );
  if (wanted !== undefined && runs.length === 0) {
    return fail('run.unknown', { id: wanted, known: project.runs.map(({ name }) => name).join(', ') });
  }
  if ((options.frames ?? 0) * runs.length > MOST_FRAMES)
    return fail('report.too-many-frames', { frames: (options.frames ?? 0) * runs.length, most: MOST_FRAMES });
  const scene: NamedMesh[] = [];
  const reports: RunReport[] = [];
  const wheels: Guide[] = [];
  let vertices = 0;
  for (const [i, run] of runs.entries()) {
    const at = ['runs', project.runs.indexOf(run)];
    const source = sourceOf(project, run);
    const share = (done: number) => onProgress?.((i + done) / runs.length);
    const derived = source.ok
      ? await deriver.derive(source.value, { onProgress: partOf(share, 0, READY_SHARE) })
      : source;
    if (!derived.ok) {
      return {
        ok: false,
        problems: derived.problems.map((p) => ({ ...about({ run: run.name }, p), path: at })),
      };
    }
    const { table, courses } = derived.value;
    if (options.guides) wheels.push(...wheelsAsGuides(run, derived.value, time));
    const { origin } = table;
    for (const [k, course] of courses.entries()) {
      if (!course.course.visible) continue;
      const plan = planCourse(derived.value, course, time);
      const sets = options.repeated && options.repeated !== 'plain' ? instancesOf(plan) : undefined;
      vertices += sets ? sets.reduce((sum, { form }) => sum + vertexCount(form.mesh), 0) : plan.vertexCount;
      if (vertices > mostVertices) return fail('bake.too-many-vertices', { vertices, most: mostVertices }, at);
      const done = (from: number) => READY_SHARE + (1 - READY_SHARE) * from;
      const bending = partOf(share, done(k / courses.length), done((k + 1) / courses.length));
      const name = courseObjectName(run.name, course, courses.length, project);
      const isTinted = sets?.some(({ tints }) => tints) ?? false;
      const own = origin.some((c) => c !== 0) && { origin };
      if (sets && !isTinted) {
        const { materials, images } = course.pieces;
        for (const { form, places } of sets)
          scene.push({ name, mesh: { ...form.mesh, materials, images }, places, ...own });
        reports.push(buildReport(name, derived.value, k, plan, options));
        continue;
      }
      const lift = Math.min(COAT_LIFT, halfWidth(course.pieces.segment.box) * COAT_LIFT_SHARE);
      const welded = weldSeams(buildRunMesh(plan, course.pieces, bending), plan);
      const mesh = liftCoats(welded, options.coats ?? 'none', lift);
      if (![mesh.positions, mesh.normals, mesh.uvs].every((values) => values.every(Number.isFinite)))
        return fail('bake.not-a-number', { run: run.name }, at);
      if (mesh.indices.length > 0) scene.push({ name, mesh, ...own });
      reports.push({ ...buildReport(name, derived.value, k, plan, options), vertices: vertexCount(mesh) });
    }
  }
  const guides = project.guides.filter((guide) => guide.visible);
  if (options.guides) scene.push(...(await guideMeshes([...guides, ...wheels], deriver)));
  return scene.length > 0 || options.mayBeEmpty ? ok({ scene, reports }) : fail('bake.empty', { runs: runs.length });
}

/** A course goes by its run's name where that has no other. */
export const courseObjectName = (run: string, { course }: DerivedCourse, courses: number, project: Project): string =>
  courses > 1 ? `${run}, ${courseName(project, course)}` : run;

/** Frames that the reports of one bake list, all runs together. */
const MOST_FRAMES = 1_000_000;

/** Metres that coats lie above a surface in files, and of half a thin run's width at the most. */
const [COAT_LIFT, COAT_LIFT_SHARE] = [5e-4, 0.01];

/** How much of a run is making its segment ready. */
const READY_SHARE = 0.3;

/** How much of a bake is bending, for its progress: writing takes longer. */
export const BENDING_SHARE = 0.3;

/** That a format cannot tell where far things lie as finely as they are made. */
function coarseFar({ label, isCoarseFar }: MeshFormat, scene: readonly NamedMesh[]): Problem[] {
  const far = Math.max(0, ...scene.map(({ origin = [0, 0, 0] }) => Math.max(...origin.map(Math.abs))));
  return isCoarseFar && far > 0
    ? [{ code: 'format.coarse-far', path: [], facts: { format: label, far, off: far * 2 ** -24 } }]
    : [];
}

/** Bakes and writes a file. Warnings: `format.coarse-far`. Problems: `format.unknown`, and those of {@link bakeProject}. */
export async function bakeFiles(
  project: Project,
  deriver: Deriver,
  extension: string,
  name: string,
  options: BakeOptions = {},
): Promise<Result<{ files: readonly NamedBytes[]; reports: readonly RunReport[] }>> {
  const writer = writerFor(extension);
  if (!writer?.write) return fail('format.unknown', { extension });
  const onProgress = partOf(options.onProgress, 0, BENDING_SHARE);
  const repeated = writer.repeats ? options.repeated : undefined;
  const baked = await bakeProject(project, deriver, {
    ...options,
    repeated,
    coats: writer.coats,
    ...(onProgress && { onProgress }),
  });
  if (!baked.ok) return baked;
  const { scene, reports } = baked.value;
  const files = await writer.write(scene, name, partOf(options.onProgress, BENDING_SHARE, 1), repeated);
  return ok({ files, reports }, coarseFar(writer, scene));
}
