import { z } from 'zod';
import { fail, ok, type Problem, type Result } from '../core/math/result';
import { assetIdOf } from './asset-id';
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
const MAX_PROJECT_BYTES = 512 * 1024 * 1024;

/** Two-space JSON, keys in the schema's order, so that equal projects make equal files. */
export function encodeProjectFile({ project, assets }: OpenedProject): string {
  const used = assetIdsOf(project).toSorted();
  const meshes = Object.fromEntries(used.flatMap((id) => (assets.has(id) ? [[id, toBase64(assets.get(id)!)]] : [])));
  return JSON.stringify({ project, assets: meshes }, null, 2) + '\n';
}

/** The ids of assets that anything like a project mentions. */
export const mentionedAssets = (project: unknown): readonly string[] => [
  ...new Set((JSON.stringify(project) ?? '').match(/[0-9a-f]{64}/g)),
];

/** A stored project that this version does not understand, in a file of the same form, for one that does. */
export function encodeAsItIs(project: unknown, assets: Assets): string {
  const meshes = Object.fromEntries([...assets].map(([id, bytes]) => [id, toBase64(bytes)]));
  return JSON.stringify({ project, assets: meshes }, null, 2) + '\n';
}

/**
 * Opens a project file, with or without a byte order mark. Problems: `project.too-large`, `project.not-json` with `reason`,
 * `project.foreign`, `project.newer` with `version`, `project.invalid` with `reason` and the path of the value. Warnings:
 * `project.asset-missing` and `project.asset-differs` of what is left out because its bytes are not there or not those of its id.
 */
export async function parseProjectFile(text: string): Promise<Result<OpenedProject>> {
  if (text.length > MAX_PROJECT_BYTES)
    return fail('project.too-large', { bytes: text.length, most: MAX_PROJECT_BYTES });
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return fail('project.not-json', { reason: error instanceof Error ? error.message : String(error) });
  }
  return parseProjectValue(value);
}

/** As {@link parseProjectFile}, from a value that was JSON. */
export async function parseProjectValue(value: unknown): Promise<Result<OpenedProject>> {
  const parsed = parseVersioned(value);
  if (!parsed.ok) return parsed;
  const { project, assets } = parsed.value;
  const sound = new Map<string, Uint8Array>();
  const warnings: Problem[] = [];
  for (const id of assetIdsOf(project)) {
    const text = assets[id];
    const bytes = text === undefined ? undefined : fromBase64(text);
    if (bytes && (await assetIdOf(bytes)) === id) sound.set(id, bytes);
    else warnings.push(assetProblem(project, id, bytes ? 'project.asset-differs' : 'project.asset-missing'));
  }
  return ok({ project, assets: sound }, warnings);
}

/** A project alone, as the browser keeps it, brought up to this version. Problems: as of {@link parseProjectFile}. */
export function openProject(project: unknown): Result<Project> {
  const parsed = parseVersioned({ project, assets: {} });
  return parsed.ok ? ok(parsed.value.project) : parsed;
}

function parseVersioned(value: unknown): Result<z.infer<typeof projectFileSchema>> {
  const head = z
    .object({ project: z.object({ format: z.literal('rattan-project'), version: z.number().int() }) })
    .safeParse(value);
  if (!head.success) return fail('project.foreign');
  const { version } = head.data.project;
  if (version > PROJECT_VERSION) return fail('project.newer', { version, known: PROJECT_VERSION });
  let parsed: ReturnType<typeof projectFileSchema.safeParse>;
  try {
    parsed = projectFileSchema.safeParse(upgrade(value, version));
  } catch (error) {
    // One project that nobody thought of hides no other.
    return fail('project.invalid', { reason: error instanceof Error ? error.message : String(error) });
  }
  return parsed.success ? ok(parsed.data) : { ok: false, problems: parsed.error.issues.slice(0, 5).map(toProblem) };
}

/** Names the first that uses an asset. */
function assetProblem(project: Project, id: string, code: 'project.asset-missing' | 'project.asset-differs'): Problem {
  const { segments, guides } = project;
  const user =
    segments.find((segment) => assetIdsOf({ segments: [segment], guides: [] }).includes(id)) ??
    guides.find((guide) => assetIdsOf({ segments: [], guides: [guide] }).includes(id));
  return { code, path: ['assets', id], facts: { user: user?.name ?? id } };
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
  const { path, message } = parsed.error.issues[0];
  return { code: 'project.unkept', path: [], facts: { where: path.join('.'), reason: message } };
}
