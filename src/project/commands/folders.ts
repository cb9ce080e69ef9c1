import type { Guide, Project, Run } from '../schema';
import { untaken } from '../untaken';

/** Lists whose rows may lie in folders. A folder is there as long as something lies in it. */
export type FolderedList = 'runs' | 'guides';

type Item = Run | Guide;

function changed(project: Project, list: FolderedList, change: (item: Item) => Item): Project {
  return { ...project, [list]: (project[list] as readonly Item[]).map(change) };
}

/** Puts items into a folder; `undefined` takes them out of theirs. */
export const putInFolder = (
  project: Project,
  list: FolderedList,
  ids: readonly string[],
  folder: string | undefined,
): Project =>
  changed(project, list, (item) => {
    if (!ids.includes(item.id)) return item;
    const { folder: before, ...rest } = item;
    return folder === undefined ? rest : { ...rest, folder };
  });

export const renameFolder = (project: Project, list: FolderedList, from: string, to: string): Project =>
  changed(project, list, (item) => (item.folder === from ? { ...item, folder: to } : item));

/** Shows or hides all that lies in a folder. */
export const showFolder = (project: Project, list: FolderedList, folder: string, visible: boolean): Project =>
  changed(project, list, (item) => (item.folder === folder ? { ...item, visible } : item));

/** A name that no folder of the list has. */
export const freeFolder = (project: Project, list: FolderedList): string =>
  untaken(
    'Folder',
    (project[list] as readonly Item[]).map(({ folder }) => folder),
  );

/** Moves items to where another one is, into the folder in which that lies. */
export function moveItems(project: Project, list: FolderedList, ids: readonly string[], to: string): Project {
  const all = project[list] as readonly Item[];
  const target = all.find(({ id }) => id === to);
  if (!target || ids.includes(to)) return project;
  const moved = all.filter(({ id }) => ids.includes(id));
  const rest = all.filter(({ id }) => !ids.includes(id));
  const isDown = all.indexOf(moved[0]) < all.indexOf(target);
  const at = rest.indexOf(target) + (isDown ? 1 : 0);
  return putInFolder({ ...project, [list]: rest.toSpliced(at, 0, ...moved) }, list, ids, target.folder);
}

/** Rows of a list in the order in which they are shown: a folder stands where the first of its items does, with all of them. */
export type FolderRow<T> = { readonly item: T } | { readonly folder: string; readonly items: readonly T[] };

export function foldered<T extends { readonly folder?: string | undefined }>(
  items: readonly T[],
): readonly FolderRow<T>[] {
  const seen = new Set<string>();
  return items.flatMap((item): FolderRow<T>[] => {
    const { folder } = item;
    if (folder === undefined) return [{ item }];
    if (seen.has(folder)) return [];
    seen.add(folder);
    return [{ folder, items: items.filter((own) => own.folder === folder) }];
  });
}
