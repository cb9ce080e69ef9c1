import { ok, type Result } from '../../core/math/result';
import type { Kit } from '../commands/kits';
import { openProject } from '../project-file';
import { database } from './database';

/** The kits on the shelf, by name; those that cannot be understood are left out. */
export async function listKits(): Promise<readonly Kit[]> {
  const all = (await (await database()).getAll('kits')).map(readKit);
  const kits = all.flatMap((kit) => (kit.ok ? [kit.value] : []));
  return kits.toSorted((a, b) => a.project.name.localeCompare(b.project.name));
}

/** A kit as this version understands it. Problems: those of {@link openProject}. */
export function readKit(stored: Kit): Result<Kit> {
  const opened = openProject(stored.project);
  return opened.ok ? ok({ ...stored, project: opened.value }) : opened;
}

export async function keepKit(kit: Kit): Promise<void> {
  await (await database()).put('kits', kit);
}

export async function deleteKit(id: string): Promise<void> {
  await (await database()).delete('kits', id);
}
