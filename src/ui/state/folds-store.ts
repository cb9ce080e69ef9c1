import { createStore, type StoreApi } from 'zustand';
import { persist } from 'zustand/middleware';

/** What is folded open or away by name, where somebody has said; goes with the browser, not with a project. */
export interface FoldsState {
  readonly open: Readonly<Record<string, boolean>>;
  setOpen(name: string, isOpen: boolean): void;
}

export type FoldsStore = StoreApi<FoldsState>;

export const createFoldsStore = (): FoldsStore =>
  createStore<FoldsState>()(
    persist(
      (set) => ({ open: {}, setOpen: (name, isOpen) => set(({ open }) => ({ open: { ...open, [name]: isOpen } })) }),
      { name: 'rattan-folds', partialize: ({ open }) => ({ open }) },
    ),
  );
