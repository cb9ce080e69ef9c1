import { Button } from '@mui/material';
import { closeSnackbar, enqueueSnackbar, type SnackbarKey } from 'notistack';
import { createElement, useCallback, useEffect, useState } from 'react';
import { problemWords } from '../../engine/problem-words';
import { encodeProjectFile, parseProjectFile } from '../../project/project-file';
import { assetIdsOf, emptyProject } from '../../project/schema';
import { loadAssets, saveAsset } from '../../project/storage/assets';
import {
  createProject,
  deleteProject,
  listProjects,
  loadProject,
  restoreProject,
  type ShelfItem,
} from '../../project/storage/projects';
import { fileNameOf, saveBlob } from '../save-file';
import { useApp } from '../state/app-context';

export interface ShelfActions {
  open(id: string): Promise<void>;
  /** True when the file was a project and is now open; otherwise what is wrong has been told. */
  openFile(file: File): Promise<boolean>;
  duplicate(id: string): Promise<void>;
  remove(item: ShelfItem): Promise<void>;
  download(id: string): Promise<void>;
}

/** The stored projects and what can be done with them. */
export function useShelf(): { items: readonly ShelfItem[]; actions: ShelfActions } {
  const { keeper, session } = useApp();
  const [items, setItems] = useState<readonly ShelfItem[]>([]);
  const refresh = useCallback(async () => {
    await keeper.flush();
    setItems(await listProjects());
  }, [keeper]);
  useEffect(() => {
    let isLive = true;
    void keeper
      .flush()
      .then(listProjects)
      .then((list) => isLive && setItems(list));
    return () => {
      isLive = false;
    };
  }, [keeper]);

  const actions: ShelfActions = {
    async open(id) {
      if (id !== session.getState().projectId) await keeper.open(id);
      session.getState().set({ dialog: undefined });
    },
    async openFile(file) {
      const opened = parseProjectFile(await file.text());
      if (!opened.ok) {
        for (const problem of opened.problems)
          enqueueSnackbar(`${file.name}: ${problemWords(problem)}`, { variant: 'error' });
        return false;
      }
      for (const [id, bytes] of opened.value.assets) await saveAsset(id, bytes);
      await keeper.create(opened.value.project);
      return true;
    },
    async duplicate(id) {
      const stored = await loadProject(id);
      if (stored) await createProject({ ...stored.project, name: `${stored.project.name} (copy)`.slice(0, 200) });
      await refresh();
    },
    async remove({ id, name }) {
      await keeper.flush();
      const stored = await loadProject(id);
      if (id === session.getState().projectId) {
        const next = items.find((item) => item.id !== id);
        await (next ? keeper.open(next.id) : keeper.create(emptyProject('Untitled')));
      }
      await deleteProject(id);
      await refresh();
      const takeBack = async (key: SnackbarKey) => {
        closeSnackbar(key);
        if (stored) await restoreProject(stored);
        await refresh();
      };
      enqueueSnackbar(`${name} deleted`, {
        action: (key) => createElement(Button, { color: 'inherit', onClick: () => void takeBack(key) }, 'Undo'),
      });
    },
    async download(id) {
      const stored = await loadProject(id);
      if (!stored) return;
      const assets = await loadAssets(assetIdsOf(stored.project));
      const text = encodeProjectFile({ project: stored.project, assets });
      saveBlob(new Blob([text], { type: 'application/json' }), `${fileNameOf(stored.project.name)}.json`);
    },
  };
  return { items, actions };
}
