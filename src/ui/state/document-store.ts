import { temporal, type TemporalState } from 'zundo';
import { createStore, type StoreApi } from 'zustand';
import { holdPlugs } from '../../project/commands/plugs';
import { emptyProject, type Project } from '../../project/schema';

export interface DocumentState {
  readonly project: Project;
  /** Replaces the project by what `change` makes of it; one step of undo, unless a gesture is under way. */
  edit(change: (project: Project) => Project): void;
  /** Opens another project: nothing to undo. */
  open(project: Project): void;
  /** From here to `endGesture` all edits are one step of undo: a drag, a number being turned. */
  beginGesture(): void;
  endGesture(): void;
}

type Tracked = Pick<DocumentState, 'project'>;

export type DocumentStore = StoreApi<DocumentState> & { temporal: StoreApi<TemporalState<Tracked>> };

/** The project and its past. Made for each mount, never a module's global: the server would share it. */
export function createDocumentStore(): DocumentStore {
  let isGesture = false;
  const store = createStore<DocumentState>()(
    temporal(
      (set, get) => ({
        project: emptyProject('Untitled'),
        edit(change) {
          const project = holdPlugs(get().project, change(get().project));
          if (project === get().project) return;
          set({ project });
          // The first edit of a gesture is remembered, the rest run on from it.
          if (isGesture) store.temporal.getState().pause();
        },
        open(project) {
          set({ project });
          store.temporal.getState().clear();
        },
        beginGesture() {
          isGesture = true;
        },
        endGesture() {
          isGesture = false;
          store.temporal.getState().resume();
        },
      }),
      { partialize: ({ project }): Tracked => ({ project }), limit: 200, equality: (a, b) => a.project === b.project },
    ),
  );
  return store;
}
