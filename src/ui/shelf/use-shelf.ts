import { useCallback, useEffect, useState } from 'react';
import { encodeAsItIs, encodeProjectFile, mentionedAssets, parseProjectFile } from '../../project/project-file';
import { assetIdsOf, emptyProject, type Project } from '../../project/schema';
import { loadAssets, saveAssets } from '../../project/storage/assets';
import {
  createProject,
  deleteProject,
  listProjects,
  loadProject,
  rawProject,
  restoreProject,
  type ShelfItem,
} from '../../project/storage/projects';
import { storageProblem } from '../../project/storage/trouble';
import { fileNameOf, saveBlob } from '../save-file';
import { useApp, useNotify } from '../state/app-context';
import type { Tell } from '../state/tell';

export interface ShelfActions {
  open(id: string): Promise<void>;
  /** True when the file was a project and is now open; otherwise what is wrong has been told. */
  openFile(file: File): Promise<boolean>;
  duplicate(id: string): Promise<void>;
  remove(item: ShelfItem): Promise<void>;
  /** As it is on the screen, as it is kept, or as it is where it cannot be understood. */
  download(item: ShelfItem): Promise<void>;
}

/** The id of what is on the screen where nothing is kept. */
const UNKEPT = 'unkept';

/** The stored projects and what can be done with them; where nothing can be kept, what is on the screen. */
export function useShelf(): { items: readonly ShelfItem[]; usage: number | undefined; actions: ShelfActions } {
  const notify = useNotify();
  const { keeper, session, document, tell } = useApp();
  const [items, setItems] = useState<readonly ShelfItem[]>([]);
  const [usage, setUsage] = useState<number>();
  const isOpen = useCallback((id: string) => id === (session.getState().projectId ?? UNKEPT), [session]);

  const list = useCallback(async () => {
    await keeper.flush();
    const { name, runs } = document.getState().project;
    const own = { id: UNKEPT, name, savedAt: 0, runs: runs.length };
    try {
      const kept = await listProjects();
      return kept.some(({ id }) => isOpen(id)) ? kept : [own, ...kept];
    } catch (error) {
      return [{ ...own, problem: storageProblem(error) }];
    }
  }, [keeper, document, isOpen]);
  const refresh = useCallback(async () => setItems(await list()), [list]);
  useEffect(() => {
    let isLive = true;
    void list().then((all) => isLive && setItems(all));
    void navigator.storage?.estimate?.().then((of) => isLive && setUsage(of.usage));
    return () => {
      isLive = false;
    };
  }, [list]);

  const actions: ShelfActions = {
    async open(id) {
      if (isOpen(id) || tell.problems(await keeper.open(id))) session.getState().set({ dialog: undefined });
    },
    async openFile(file) {
      const opened = await parseProjectFile(await file.text());
      if (!opened.ok) return tell.problems(opened.problems, file.name);
      const { project, assets } = opened.value;
      const kept = await saveAssets(assets);
      const trouble = kept.ok ? await keeper.create(project) : kept.problems;
      if (!tell.problems(trouble, file.name)) return false;
      tell.problems(opened.warnings, file.name);
      return true;
    },
    async duplicate(id) {
      const read = await loadProject(id);
      if (!read.ok) return void tell.problems(read.problems);
      const { project } = read.value;
      await createProject({ ...project, name: `${project.name} (copy)`.slice(0, 200) }).catch((error: unknown) =>
        tell.problems([storageProblem(error)]),
      );
      await refresh();
    },
    async remove({ id, name }) {
      await keeper.flush();
      const stored = await rawProject(id);
      if (isOpen(id)) {
        const next = items.find((item) => item.id !== id && !item.problem);
        const left = next ? await keeper.open(next.id, true) : await keeper.create(emptyProject('Untitled'), true);
        if (!tell.problems(left)) return;
      }
      await deleteProject(id);
      await refresh();
      const takeBack = async () => {
        if (stored) await restoreProject(stored).catch((error: unknown) => tell.problems([storageProblem(error)]));
        await refresh();
      };
      notify(`${name} deleted`, { action: { label: 'Undo', act: () => void takeBack() } });
    },
    async download({ id, name }) {
      if (isOpen(id)) return save(document.getState().stored, tell);
      const read = await loadProject(id);
      if (read.ok) return save(read.value.project, tell);
      const raw = await rawProject(id);
      saveText(encodeAsItIs(raw?.project, await loadAssets(mentionedAssets(raw?.project))), name);
    },
  };
  return { items, usage, actions };
}

/** Saves a project as a file; where its meshes cannot be read from the browser, without them, and says so. */
async function save(project: Project, tell: Tell): Promise<void> {
  const assets = await loadAssets(assetIdsOf(project)).catch((error: unknown) => {
    tell.problems([storageProblem(error)]);
    return new Map<string, Uint8Array>();
  });
  saveText(encodeProjectFile({ project, assets }), project.name);
}

const saveText = (text: string, name: string): void =>
  saveBlob(new Blob([text], { type: 'application/json' }), `${fileNameOf(name)}.json`);
