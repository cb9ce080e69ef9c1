import { z } from 'zod';
import { fail, ok, type Problem, type Result } from '../core/math/result';
import { fromBase64, toBase64 } from './base64';
import { assetIdsOf, PROJECT_VERSION, projectSchema, type Project } from './schema';
import { upgrade } from './upgrades';

/** The meshes of a project by id, as GLB bytes. */
export type Assets = ReadonlyMap<string, Uint8Array>;

export interface OpenedProject {
  readonly project: Project;
  readonly assets: Assets;
}

/** A project file: the document and, in `assets`, every brought mesh as a GLB in base64. */
export const projectFileSchema = z.strictObject({
  project: projectSchema,
  assets: z.record(z.string().regex(/^[0-9a-f]{64}$/), z.base64()),
});

/** Most bytes that a project file may have. */
export const MAX_PROJECT_BYTES = 512 * 1024 * 1024;

/** Two-space JSON, keys in the schema's order, so that equal projects make equal files. */
export function encodeProjectFile({ project, assets }: OpenedProject): string {
  const used = assetIdsOf(project).toSorted();
  const meshes = Object.fromEntries(used.flatMap((id) => (assets.has(id) ? [[id, toBase64(assets.get(id)!)]] : [])));
  return JSON.stringify({ project, assets: meshes }, null, 2) + '\n';
}

/**
 * Opens a project file. Problems: `project.too-large`, `project.not-json` with `reason`, `project.foreign`,
 * `project.newer` with `version`, `project.invalid` with `reason` and the path of the value, `project.asset-missing`.
 */
export function parseProjectFile(text: string): Result<OpenedProject> {
  if (text.length > MAX_PROJECT_BYTES)
    return fail('project.too-large', { bytes: text.length, most: MAX_PROJECT_BYTES });
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return fail('project.not-json', { reason: error instanceof Error ? error.message : String(error) });
  }
  return parseProjectValue(value);
}

/** As {@link parseProjectFile}, from a value that was JSON. */
export function parseProjectValue(value: unknown): Result<OpenedProject> {
  const head = z
    .object({ project: z.object({ format: z.literal('rattan-project'), version: z.number().int() }) })
    .safeParse(value);
  if (!head.success) return fail('project.foreign');
  const { version } = head.data.project;
  if (version > PROJECT_VERSION) return fail('project.newer', { version, known: PROJECT_VERSION });
  const parsed = projectFileSchema.safeParse(upgrade(value, version));
  if (!parsed.success) return { ok: false, problems: parsed.error.issues.slice(0, 5).map(toProblem) };
  const { project, assets } = parsed.data;
  const missing = project.segments.findIndex(({ source }) => source.from === 'asset' && !(source.asset in assets));
  if (missing >= 0)
    return fail('project.asset-missing', { segment: project.segments[missing]!.name }, ['segments', missing]);
  return ok({ project, assets: new Map(Object.entries(assets).map(([id, glb]) => [id, fromBase64(glb)])) });
}

const toProblem = ({ path, message }: z.core.$ZodIssue): Problem => ({
  code: 'project.invalid',
  path: path.map((key) => (typeof key === 'symbol' ? String(key) : key)),
  facts: { reason: message },
});

/** What of a project no file and no storage could hold: `project.unkept` with `where` and `reason`; undefined where all is sound. */
export function unkept(project: Project): Problem | undefined {
  const parsed = projectSchema.safeParse(project);
  if (parsed.success) return undefined;
  const { path, message } = parsed.error.issues[0]!;
  return { code: 'project.unkept', path: [], facts: { where: path.join('.'), reason: message } };
}
