import type { Problem } from '../../core/math/result';
import type { Save } from '../../engine/saver';
import { problemWords } from '../../engine/problem-words';
import { unkept } from '../../project/project-file';
import type { Project } from '../../project/schema';
import { dropNote, noteUnsaved } from '../../project/storage/journal';
import { saveProject, type Ticket } from '../../project/storage/projects';
import { storageProblem } from '../../project/storage/trouble';
import type { DocumentStore } from './document-store';
import type { SessionStore } from './session-store';

/** Milliseconds between the beginnings of two saves while edits go on, at the least; the first edit is saved at once. */
const SAVE_EVERY = 250;
/** Saves take this share of the time at most, where a project is so large that checking it takes long. */
const SAVE_SHARE = 0.25;
/** Milliseconds after which a save that failed is tried again. */
const RETRY_AFTER = 5000;

/** Saves every change of the open project, and says in the session how that stands. */
export class Autosave {
  readonly #document: DocumentStore;
  readonly #session: SessionStore;
  readonly #save: Save;
  /** Undefined = nothing is kept. */
  #ticket: Ticket | undefined;
  /** The state that was saved or is being saved. */
  #posted: Project | undefined;
  #savedAt = 0;
  /** The state that is kept for sure. */
  #kept: Project | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #notBefore = 0;
  #unsaved: Problem | undefined;
  readonly #saving = new Set<Promise<void>>();
  readonly #stop: () => void;

  constructor(document: DocumentStore, session: SessionStore, save: Save) {
    this.#save = save;
    this.#document = document;
    this.#session = session;
    const onHide = () => {
      this.#note();
      this.#post(saveProject); // a thread beside the page may end before it gets to it
    };
    const onLeave = (event: Event) => this.#session.getState().save.kind === 'failed' && event.preventDefault();
    const unsubscribe = document.subscribe((state, before) => {
      if (state.stored !== before.stored) this.#schedule();
    });
    const heard = Object.entries({ pagehide: onHide, visibilitychange: onHide, beforeunload: onLeave });
    for (const [name, hear] of heard) window.addEventListener(name, hear);
    this.#stop = () => {
      unsubscribe();
      for (const [name, hear] of heard) window.removeEventListener(name, hear);
    };
  }

  /** Why the newest state is not kept, where that was tried. */
  get unsaved(): Problem | undefined {
    return this.#unsaved;
  }

  /** From here on changes of `project` are saved with `ticket`, or not at all. `savedAt` = milliseconds since 1970. */
  begin(ticket: Ticket | undefined, project: Project, savedAt: number): void {
    this.#ticket = ticket;
    this.#posted = project;
    this.#kept = project;
    this.#savedAt = savedAt;
    this.#unsaved = undefined;
  }

  /** Everything up to now is kept, or it is said why not. */
  async flush(): Promise<void> {
    this.#post();
    await Promise.all(this.#saving);
  }

  async close(): Promise<void> {
    this.#stop();
    await this.flush();
    clearTimeout(this.#timer);
  }

  #schedule(): void {
    const { stored: project } = this.#document.getState();
    if (!this.#ticket || project === this.#posted || this.#isElsewhere()) return;
    this.#session.getState().set({ save: { kind: 'saving' } });
    const wait = this.#notBefore - performance.now();
    if (wait <= 0) this.#post();
    else this.#timer ??= setTimeout(() => this.#post(), wait);
  }

  /** Notes what is not kept yet, at once: the page may be gone before a save is done. */
  #note(): void {
    const { stored: project } = this.#document.getState();
    if (this.#ticket && project !== this.#kept && !this.#isElsewhere() && !unkept(project))
      noteUnsaved(this.#ticket, project);
  }

  /** Has the newest state saved, unless it is already. */
  #post(save = this.#save): void {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    const { stored: project } = this.#document.getState();
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
        this.#kept = project;
        if (this.#document.getState().stored === project) dropNote(ticket.id);
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

  #fail(problem: Problem): void {
    this.#unsaved = problem;
    this.#session.getState().set({ save: { kind: 'failed', reason: problemWords(problem) } });
  }

  #tellWhenSaved(): void {
    const isAll = this.#saving.size === 0 && !this.#unsaved && this.#document.getState().stored === this.#posted;
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
