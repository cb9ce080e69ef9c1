import { problemWords } from '../../engine/problem-words';
import { emptyProject, type Project } from '../../project/schema';
import { causeway, saltgrassLanding } from '../../project/samples';
import {
  createProject,
  dropUnusedAssets,
  lastOpened,
  loadProject,
  rememberOpened,
  saveProject,
} from '../../project/storage/projects';
import { unkept } from '../../project/project-file';
import type { StoredProject } from '../../project/storage/database';
import { lockProject, type TabLock } from '../../project/storage/tab-lock';
import type { DocumentStore } from './document-store';
import type { SessionStore } from './session-store';

const SAVE_AFTER = 300; // milliseconds of quiet

/** Opens projects from the browser's storage and saves every change, as long as this tab has the project's lock. */
export class Keeper {
  readonly #document: DocumentStore;
  readonly #session: SessionStore;
  #stored: StoredProject | undefined;
  #lock: TabLock | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #saving: Promise<void> = Promise.resolve();
  readonly #stop: () => void;

  constructor(document: DocumentStore, session: SessionStore) {
    this.#document = document;
    this.#session = session;
    const onHide = () => void this.flush();
    const unsubscribe = document.subscribe((state, before) => {
      if (state.project !== before.project) this.#schedule();
    });
    window.addEventListener('pagehide', onHide);
    window.addEventListener('visibilitychange', onHide);
    this.#stop = () => {
      unsubscribe();
      window.removeEventListener('pagehide', onHide);
      window.removeEventListener('visibilitychange', onHide);
    };
  }

  /** Opens what was open last; with `?sample` in the address the sample, or only its causeway with `?sample=causeway`. */
  async start(): Promise<void> {
    await dropUnusedAssets();
    const sample = new URLSearchParams(window.location.search).get('sample');
    const id = await lastOpened();
    const stored = id === undefined ? undefined : await loadProject(id);
    // The sample comes beside what is there; asked for again it is the same one, as it was left.
    if (sample !== null) {
      const wanted = sample === 'causeway' ? causeway() : saltgrassLanding();
      if (stored && isSample(stored.project, wanted)) return this.#show(stored);
      return this.create(wanted);
    }
    if (stored) await this.#show(stored);
    else await this.create(emptyProject('Untitled'));
  }

  async open(id: string): Promise<void> {
    await this.flush();
    const stored = await loadProject(id);
    if (stored) await this.#show(stored);
  }

  async create(project: Project): Promise<void> {
    await this.flush();
    await this.#show(await createProject(project));
  }

  /** Takes the project over from the other tab, as that one saved it. */
  async takeOver(): Promise<void> {
    const id = this.#stored?.id;
    const stored = id === undefined ? undefined : await loadProject(id);
    if (stored) await this.#show(stored, true);
  }

  async flush(): Promise<void> {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    await (this.#saving = this.#saving.then(() => this.#save()));
  }

  close(): void {
    this.#stop();
    void this.flush().then(() => this.#lock?.release());
  }

  async #show(stored: StoredProject, takeOver = false): Promise<void> {
    this.#lock?.release();
    this.#stored = undefined;
    this.#lock = await lockProject(stored.id, takeOver, () =>
      this.#session.getState().set({ save: { kind: 'elsewhere' } }),
    );
    this.#stored = stored;
    await rememberOpened(stored.id);
    this.#document.getState().open(stored.project);
    this.#session.getState().set({
      projectId: stored.id,
      run: stored.project.runs[0]?.id,
      point: undefined,
      tool: 'shape',
      time: undefined,
      isPlaying: false,
      finding: undefined,
      save: this.#lock.isHeld ? { kind: 'saved', at: stored.savedAt } : { kind: 'elsewhere' },
    });
    this.#session.getState().frame('all');
  }

  #schedule(): void {
    if (!this.#stored || this.#session.getState().save.kind === 'elsewhere') return;
    if (this.#document.getState().project === this.#stored.project) return;
    this.#session.getState().set({ save: { kind: 'saving' } });
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.flush(), SAVE_AFTER);
  }

  async #save(): Promise<void> {
    const { project } = this.#document.getState();
    const before = this.#stored;
    const { set, save } = this.#session.getState();
    if (!before || project === before.project || save.kind === 'elsewhere') return;
    // What could not be opened again is never written over what can.
    const wrong = unkept(project);
    if (wrong) return set({ save: { kind: 'failed', reason: problemWords(wrong) } });
    try {
      const stored = await saveProject(before.id, project, before.revision);
      if (!stored) return set({ save: { kind: 'elsewhere' } });
      this.#stored = stored;
      if (this.#document.getState().project === project) set({ save: { kind: 'saved', at: stored.savedAt } });
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error);
      set({ save: { kind: 'failed', reason: problemWords({ code: 'storage.failed', path: [], facts: { reason } }) } });
    }
  }
}

/** Whether a project began as this sample: by its name, and whether it is the whole landing or the causeway alone. */
const isSample = (project: Project, sample: Project): boolean =>
  project.name === sample.name && project.segments.length > 2 === sample.segments.length > 2;
