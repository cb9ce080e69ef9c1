import { fail, type Problem } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';
import { emptyProject, type Project } from '../../project/schema';
import { causeway, saltgrassLanding } from '../../project/samples';
import { newId } from '../../project/new-id';
import { unkept } from '../../project/project-file';
import { dropUnusedAssets } from '../../project/storage/drop-unused';
import {
  claimProject,
  createProject,
  lastOpened,
  loadProject,
  rememberOpened,
  saveProject,
  type Ticket,
} from '../../project/storage/projects';
import { lockProject, type TabLock } from '../../project/storage/tab-lock';
import type { Save } from '../../engine/saver';
import { storageProblem } from '../../project/storage/trouble';
import type { DocumentStore } from './document-store';
import type { SaveState, SessionStore } from './session-store';

/** Milliseconds between the beginnings of two saves while edits go on, at the least; the first edit is saved at once. */
const SAVE_EVERY = 500;
/** Saves take this share of the time at most, where a project is so large that checking it takes long. */
const SAVE_SHARE = 0.25;
/** Milliseconds after which a save that failed is tried again. */
const RETRY_AFTER = 5000;

/** What stood in the way; nothing where all went well. */
type Trouble = readonly Problem[];

/** Opens projects from the browser's storage and saves every change, as long as this tab has the project's lock. */
export class Keeper {
  readonly #document: DocumentStore;
  readonly #session: SessionStore;
  readonly #writer = newId();
  readonly #save: Save;
  /** Undefined = nothing is kept, because the browser cannot. */
  #ticket: Ticket | undefined;
  /** The state that was saved or is being saved. */
  #posted: Project | undefined;
  #savedAt = 0;
  #lock: TabLock | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #notBefore = 0;
  /** Why the newest state is not kept. */
  #unsaved: Problem | undefined;
  readonly #saving = new Set<Promise<void>>();
  readonly #stop: () => void;

  constructor(document: DocumentStore, session: SessionStore, save: Save = saveProject) {
    this.#save = save;
    this.#document = document;
    this.#session = session;
    const onHide = () => this.#post(saveProject); // a thread beside the page may end before it gets to it
    const unsubscribe = document.subscribe((state, before) => {
      if (state.project !== before.project) this.#schedule();
    });
    window.addEventListener('pagehide', onHide);
    window.addEventListener('visibilitychange', onHide);
    const onLeave = (event: Event) => this.#session.getState().save.kind === 'failed' && event.preventDefault();
    window.addEventListener('beforeunload', onLeave);
    this.#stop = () => {
      unsubscribe();
      window.removeEventListener('pagehide', onHide);
      window.removeEventListener('visibilitychange', onHide);
      window.removeEventListener('beforeunload', onLeave);
    };
  }

  /**
   * Opens what was open last; with `?sample` in the address the sample, or only its causeway with `?sample=causeway`. Where nothing
   * can be kept the project is open all the same, and the save note says why.
   */
  async start(): Promise<Trouble> {
    const sample = new URLSearchParams(window.location.search).get('sample');
    const wanted = sample === null ? undefined : sample === 'causeway' ? causeway() : saltgrassLanding();
    try {
      await dropUnusedAssets();
      const id = await lastOpened();
      const last = id === undefined ? fail('project.gone') : await loadProject(id);
      const isWanted = last.ok && (!wanted || isSample(last.value.project, wanted));
      // The sample comes beside what is there; asked for again it is the same one, as it was left.
      if (isWanted) return await this.open(last.value.id);
      await this.#make(wanted ?? emptyProject('Untitled'));
      return last.ok || wanted ? [] : last.problems.filter(({ code }) => code !== 'project.gone');
    } catch (error) {
      this.#showUnkept(wanted ?? emptyProject('Untitled'), storageProblem(error));
      return [storageProblem(error)];
    }
  }

  /** Opens a stored project; one that cannot be opened leaves open what is. `isGivenUp` = what is open need not be kept. */
  open(id: string, isGivenUp = false): Promise<Trouble> {
    return this.#guarded(() => this.#open(id, false), isGivenUp);
  }

  /** Keeps a new project and opens it. */
  create(project: Project, isGivenUp = false): Promise<Trouble> {
    return this.#guarded(() => this.#make(project), isGivenUp);
  }

  /** Takes the project over from the other tab, as that one saved it. */
  takeOver(): Promise<Trouble> {
    const id = this.#ticket?.id;
    return this.#guarded(async () => (id === undefined ? [] : this.#open(id, true)));
  }

  async flush(): Promise<void> {
    this.#post();
    await Promise.all(this.#saving);
  }

  async close(): Promise<void> {
    this.#stop();
    await this.flush();
    this.#lock?.release();
  }

  async #guarded(act: () => Promise<Trouble>, isGivenUp = false): Promise<Trouble> {
    try {
      await this.flush();
      return this.#unsaved && !isGivenUp ? [this.#unsaved] : await act();
    } catch (error) {
      return [storageProblem(error)];
    }
  }

  async #make(project: Project): Promise<Trouble> {
    return this.#open((await createProject(project)).id, false);
  }

  async #open(id: string, takeOver: boolean): Promise<Trouble> {
    const read = await loadProject(id);
    if (!read.ok) return read.problems;
    this.#lock?.release();
    this.#ticket = undefined;
    this.#lock = await lockProject(id, takeOver, () => this.#session.getState().set({ save: { kind: 'elsewhere' } }));
    // Once it has the lock: a save of the tab before may just have ended.
    const claimed = this.#lock.isHeld ? await claimProject(id, this.#writer) : read;
    if (!claimed.ok) return claimed.problems;
    const stored = claimed.value;
    this.#ticket = { id, writer: this.#writer };
    this.#posted = stored.project;
    this.#savedAt = stored.savedAt;
    this.#show(stored.project, id, this.#lock.isHeld ? { kind: 'saved', at: stored.savedAt } : { kind: 'elsewhere' });
    await rememberOpened(id);
    return [];
  }

  #showUnkept(project: Project, problem: Problem): void {
    this.#show(project, undefined, { kind: 'failed', reason: problemWords(problem) });
  }

  #fail(problem: Problem): void {
    this.#unsaved = problem;
    this.#session.getState().set({ save: { kind: 'failed', reason: problemWords(problem) } });
  }

  #show(project: Project, projectId: string | undefined, save: SaveState): void {
    this.#unsaved = undefined;
    this.#document.getState().open(project);
    this.#session.getState().set({
      ...{ projectId, save, run: project.runs[0]?.id, point: undefined, tool: 'shape' },
      ...{ time: undefined, isPlaying: false, finding: undefined },
    });
    this.#session.getState().frame('all');
  }

  #schedule(): void {
    const { project } = this.#document.getState();
    if (!this.#ticket || project === this.#posted || this.#isElsewhere()) return;
    this.#session.getState().set({ save: { kind: 'saving' } });
    const wait = this.#notBefore - performance.now();
    if (wait <= 0) this.#post();
    else this.#timer ??= setTimeout(() => this.#post(), wait);
  }

  /** Has the newest state saved, unless it is already. */
  #post(save = this.#save): void {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    const { project } = this.#document.getState();
    const ticket = this.#ticket;
    if (!ticket || this.#isElsewhere()) return;
    if (project === this.#posted) return this.#tellWhenSaved();
    const begun = performance.now();
    // What could not be opened again is never written over what can.
    const wrong = unkept(project);
    if (wrong) return this.#fail(wrong);
    this.#notBefore = begun + Math.max(SAVE_EVERY, (performance.now() - begun) / SAVE_SHARE);
    this.#posted = project;
    const isStill = () => this.#ticket === ticket && !this.#isElsewhere(); // no other one was opened, no other tab has it
    const saving = save(ticket, project).then(
      (savedAt) => {
        this.#saving.delete(saving);
        if (!isStill()) return;
        if (savedAt === undefined) return this.#session.getState().set({ save: { kind: 'elsewhere' } });
        this.#unsaved = undefined;
        this.#savedAt = savedAt;
        askToStay();
        this.#tellWhenSaved();
      },
      (error: unknown) => {
        this.#saving.delete(saving);
        if (!isStill()) return;
        if (this.#posted === project) this.#posted = undefined;
        this.#fail(storageProblem(error));
        this.#timer ??= setTimeout(() => this.#post(), RETRY_AFTER);
      },
    );
    this.#saving.add(saving);
  }

  #tellWhenSaved(): void {
    const isAll = this.#saving.size === 0 && this.#document.getState().project === this.#posted;
    if (isAll) this.#session.getState().set({ save: { kind: 'saved', at: this.#savedAt } });
  }

  #isElsewhere(): boolean {
    return this.#session.getState().save.kind === 'elsewhere';
  }
}

let hasAsked = false;

/** Asks the browser, once something is worth it, not to drop what is kept when the disk gets full. */
function askToStay(): void {
  if (!hasAsked) void navigator.storage?.persist?.().catch(() => {});
  hasAsked = true;
}

/** Whether a project began as this sample: by its name, and whether it is the whole landing or the causeway alone. */
const isSample = (project: Project, sample: Project): boolean =>
  project.name === sample.name && project.segments.length > 2 === sample.segments.length > 2;
