import { temporal, type TemporalState } from 'zundo';
import { createStore, type StoreApi } from 'zustand';
import { frameBeside } from '../../core/motion/clock';
import { holdPlugs } from '../../project/commands/plugs';
import { editAt } from '../../project/keys/edit-at';
import { projectAt } from '../../project/keys/project-at';
import { emptyProject, type Project } from '../../project/schema';

export interface DocumentState {
  /** As it is kept: the same at all times. */
  readonly stored: Project;
  /** As it is at the moment: what has keys has the values that they say. */
  readonly project: Project;
  /** Seconds; null = all of the time is over. */
  readonly moment: number | null;
  /** Replaces the project by what `change` makes of it as it is at the moment; one step of undo, unless a gesture is under way. */
  edit(change: (project: Project) => Project): void;
  goTo(moment: number | null): void;
  /** Opens another project: nothing to undo. */
  open(project: Project): void;
  /** From here to `endGesture` all edits are one step of undo: a drag, a number being turned. */
  beginGesture(): void;
  endGesture(): void;
}

type Tracked = Pick<DocumentState, 'stored'>;

export type DocumentStore = StoreApi<DocumentState> & { temporal: StoreApi<TemporalState<Tracked>> };

/** The project and its past. Made for each mount, never a module's global: the server would share it. */
export function createDocumentStore(): DocumentStore {
  let isGesture = false;
  const empty = emptyProject('Untitled');
  const store = createStore<DocumentState>()(
    temporal(
      (set, get) => ({
        stored: empty,
        project: empty,
        moment: null,
        edit(change) {
          const { stored: before, moment } = get();
          const frame = moment === null ? null : frameBeside(moment, 0, before.time);
          const stored = editAt(before, frame, (shown) => holdPlugs(shown, change(shown)));
          if (stored === before) return;
          set({ stored, project: projectAt(stored, moment) });
          // The first edit of a gesture is remembered, the rest run on from it.
          if (isGesture) store.temporal.getState().pause();
        },
        goTo(moment) {
          if (moment !== get().moment) set({ moment, project: projectAt(get().stored, moment) });
        },
        open(project) {
          set({ stored: project, project: projectAt(project, get().moment) });
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
      { partialize: ({ stored }): Tracked => ({ stored }), limit: 200, equality: (a, b) => a.stored === b.stored },
    ),
  );
  // What is taken back or done again changes what is kept alone.
  store.subscribe(({ stored, project, moment }, before) => {
    if (stored !== before.stored && project === before.project) store.setState({ project: projectAt(stored, moment) });
  });
  return store;
}
