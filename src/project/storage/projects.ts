import { fail, ok, type Problem, type Result } from '../../core/math/result';
import { newId } from '../new-id';
import { openProject } from '../project-file';
import type { Project } from '../schema';
import { pictureKey } from './shelf-pictures';
import { database, type StoredProject } from './database';

/** A project on the shelf. */
export interface ShelfItem {
  readonly id: string;
  readonly name: string;
  readonly savedAt: number;
  readonly runs: number;
  /** Why it cannot be opened. */
  readonly problem?: Problem;
}

export async function listProjects(): Promise<readonly ShelfItem[]> {
  const all = await (await database()).getAll('projects');
  return all.map(shelfItem).sort((a, b) => b.savedAt - a.savedAt);
}

function shelfItem(stored: StoredProject): ShelfItem {
  const read = readStored(stored);
  const { id, savedAt } = stored;
  if (read.ok) return { id, savedAt, name: read.value.project.name, runs: read.value.project.runs.length };
  const name: unknown = (stored.project as Partial<Project> | undefined)?.name;
  return {
    id,
    savedAt: Number(savedAt) || 0,
    name: typeof name === 'string' ? name : id,
    runs: 0,
    problem: read.problems[0],
  };
}

/** A record as this version understands it. Problems: `project.gone`, `project.absent`, and those of {@link openProject}. */
export function readStored(stored: StoredProject | undefined): Result<StoredProject> {
  if (!stored) return fail('project.gone');
  if (!stored.project) return fail('project.absent');
  const opened = openProject(stored.project);
  return opened.ok ? ok({ ...stored, project: opened.value }) : opened;
}

/** A stored project. Problems: as of {@link readStored}. */
export const loadProject = async (id: string): Promise<Result<StoredProject>> =>
  readStored(await (await database()).get('projects', id));

/** As {@link loadProject}; from now on only `writer` saves it, also where another tab is in the middle of a save. */
export async function claimProject(id: string, writer: string): Promise<Result<StoredProject>> {
  const transaction = (await database()).transaction('projects', 'readwrite');
  const read = readStored(await transaction.store.get(id));
  const claimed = read.ok ? ok({ ...read.value, writer }) : read;
  if (claimed.ok) await transaction.store.put(claimed.value);
  await transaction.done;
  return claimed;
}

/** A record just as it is, for a file of what cannot be opened. */
export const rawProject = async (id: string): Promise<StoredProject | undefined> =>
  (await database()).get('projects', id);

export async function createProject(project: Project): Promise<StoredProject> {
  const stored: StoredProject = { id: newId(), project, revision: 1, savedAt: Date.now() };
  await (await database()).put('projects', stored);
  return stored;
}

/** What a tab saves with: the project's id and its own name as the one that may. */
export interface Ticket extends Pick<StoredProject, 'id' | 'writer'> {
  /** Whose name it found, where it could not write its own. */
  readonly seen?: string | undefined;
}

/**
 * Saves in one transaction: a tab killed in the middle leaves the state before. Gives the time of the save, milliseconds since
 * 1970; undefined, and nothing written, when another tab has claimed the project. Relaxed: what is written survives that the
 * browser is killed.
 */
export async function saveProject({ id, writer, seen }: Ticket, project: Project): Promise<number | undefined> {
  const transaction = (await database()).transaction('projects', 'readwrite', { durability: 'relaxed' });
  const there = await transaction.store.get(id);
  const isMine = !there || there.writer === writer || there.writer === seen;
  const savedAt = Date.now();
  const stored: StoredProject = { id, writer, project, savedAt, revision: (there?.revision ?? 0) + 1 };
  if (isMine) await transaction.store.put(stored);
  await transaction.done;
  return isMine ? savedAt : undefined;
}

/** Takes a project off the shelf with its picture; its meshes stay, so that this can be taken back. */
export async function deleteProject(id: string): Promise<void> {
  const db = await database();
  await db.delete('projects', id);
  await db.delete('app', pictureKey(id));
}

export async function restoreProject(stored: StoredProject): Promise<void> {
  await (await database()).put('projects', stored);
}

export const lastOpened = async (): Promise<string | undefined> => (await database()).get('app', 'lastOpened');

export async function rememberOpened(id: string): Promise<void> {
  await (await database()).put('app', id, 'lastOpened');
}
