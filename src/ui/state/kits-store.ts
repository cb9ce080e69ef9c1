import { createStore, type StoreApi } from 'zustand';
import type { Kit } from '../../project/commands/kits';
import { deleteKit, keepKit, listKits } from '../../project/storage/kits';

/** The kits on the shelf, as they are kept in this browser. */
export interface KitsState {
  readonly kits: readonly Kit[];
  /** Reads them anew. Rejects where nothing can be kept, with what `storageProblem` puts into words. */
  refresh(): Promise<void>;
  keep(kit: Kit): Promise<void>;
  remove(id: string): Promise<void>;
}

export type KitsStore = StoreApi<KitsState>;

export const createKitsStore = (): KitsStore =>
  createStore<KitsState>()((set, get) => ({
    kits: [],
    refresh: async () => set({ kits: await listKits() }),
    async keep(kit) {
      await keepKit(kit);
      await get().refresh();
    },
    async remove(id) {
      await deleteKit(id);
      await get().refresh();
    },
  }));
