import { assetIdsOf, projectSchema, type Project } from '../schema';
import { newId } from '../new-id';
import { database, type StoredProject } from './database';

/** A project on the shelf. */
export interface ShelfItem {
  readonly id: string;
  readonly name: string;
  readonly savedAt: number;
  readonly runs: number;
}

export async function listProjects(): Promise<readonly ShelfItem[]> {
  const all = await (await database()).getAll('projects');
  return all
    .map(({ id, project, savedAt }) => ({ id, name: project.name, savedAt, runs: project.runs.length }))
    .sort((a, b) => b.savedAt - a.savedAt);
}

/** A stored project; undefined when there is none or it cannot be understood. */
export async function loadProject(id: string): Promise<StoredProject | undefined> {
  const stored = await (await database()).get('projects', id);
  const parsed = projectSchema.safeParse(stored?.project);
  return stored && parsed.success ? { ...stored, project: parsed.data } : undefined;
}

export async function createProject(project: Project): Promise<StoredProject> {
  const stored: StoredProject = { id: newId(), project, revision: 1, savedAt: Date.now() };
  await (await database()).put('projects', stored);
  return stored;
}

/**
 * Saves over revision `revision` in one transaction: a tab killed in the middle leaves the state before. Undefined, and nothing
 * written, when somebody else has saved since.
 */
export async function saveProject(id: string, project: Project, revision: number): Promise<StoredProject | undefined> {
  const db = await database();
  const transaction = db.transaction('projects', 'readwrite');
  const before = await transaction.store.get(id);
  if (before && before.revision !== revision) {
    await transaction.done;
    return undefined;
  }
  const stored: StoredProject = { id, project, revision: revision + 1, savedAt: Date.now() };
  await transaction.store.put(stored);
  await transaction.done;
  return stored;
}

/** Takes a project off the shelf; its meshes stay until {@link dropUnusedAssets}, so that this can be taken back. */
export async function deleteProject(id: string): Promise<void> {
  await (await database()).delete('projects', id);
}

export async function restoreProject(stored: StoredProject): Promise<void> {
  await (await database()).put('projects', stored);
}

/** Deletes the meshes that no stored project uses. For when no project is open yet. */
export async function dropUnusedAssets(): Promise<void> {
  const db = await database();
  const stored = (await db.getAll('projects')).map(({ project }) => projectSchema.safeParse(project));
  if (!stored.every(({ success }) => success)) return; // what it uses is not known
  const used = new Set(stored.flatMap(({ data }) => assetIdsOf(data!)));
  for (const asset of await db.getAllKeys('assets')) if (!used.has(asset)) await db.delete('assets', asset);
}

export const lastOpened = async (): Promise<string | undefined> => (await database()).get('app', 'lastOpened');

export async function rememberOpened(id: string): Promise<void> {
  await (await database()).put('app', id, 'lastOpened');
}
