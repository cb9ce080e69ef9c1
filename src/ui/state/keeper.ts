import { fail, type Problem } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';
import { emptyProject, type Project } from '../../project/schema';
import { newId } from '../../project/new-id';
import type { StoredProject } from '../../project/storage/database';
import { dropUnusedAssets } from '../../project/storage/drop-unused';
import { takeUpNotes } from '../../project/storage/journal';
import {
  claimProject,
  createProject,
  lastOpened,
  loadProject,
  rememberOpened,
  saveProject,
} from '../../project/storage/projects';
import { lockProject, type TabLock } from '../../project/storage/tab-lock';
import type { Save } from '../../engine/saver';
import { storageProblem } from '../../project/storage/trouble';
import { Autosave } from './autosave';
import type { DocumentStore } from './document-store';
import type { SaveState, SessionStore } from './session-store';

/** What stood in the way; nothing where all went well. */
type Trouble = readonly Problem[];

/** Opens projects from the browser's storage, and has them saved as long as this tab has their lock. */
export class Keeper {
  readonly #document: DocumentStore;
  readonly #session: SessionStore;
  readonly #autosave: Autosave;
  readonly #writer = newId();
  #lock: TabLock | undefined;
  /** Whether that lock was lost; another one has an object of its own. */
  #held: { readonly isLost: boolean } | undefined;

  constructor(document: DocumentStore, session: SessionStore, save: Save = saveProject) {
    this.#document = document;
    this.#session = session;
    this.#autosave = new Autosave(document, session, save);
  }

  /**
   * Opens what was open last; with `?sample` in the address the sample, or only its causeway with `?sample=causeway`. Where nothing
   * can be kept the project is open all the same, and the save note says why.
   */
  async start(): Promise<Trouble> {
    const sample = new URLSearchParams(window.location.search).get('sample');
    const wanted = sample === null ? undefined : await sampleNamed(sample);
    try {
      await takeUpNotes();
      await dropUnusedAssets();
      const id = await lastOpened();
      const last = id === undefined ? fail('project.gone') : await loadProject(id);
      const isWanted = last.ok && (!wanted || isSample(last.value.project, wanted));
      // The sample comes beside what is there; asked for again it is the same one, as it was left.
      if (isWanted && (await this.open(last.value.id)).length === 0) return [];
      await this.#make(wanted ?? emptyProject('Untitled'));
      const trouble = last.ok || wanted ? [] : last.problems.filter(({ code }) => code !== 'project.gone');
      // What cannot be opened is on the shelf, where its file can be had.
      if (trouble.length > 0) this.#session.getState().set({ dialog: 'shelf' });
      return trouble;
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
    const { projectId } = this.#session.getState();
    return this.#guarded(async () => (projectId === undefined ? [] : this.#open(projectId, true)));
  }

  flush(): Promise<void> {
    return this.#autosave.flush();
  }

  async close(): Promise<void> {
    await this.#autosave.close();
    this.#lock?.release();
  }

  async #guarded(act: () => Promise<Trouble>, isGivenUp = false): Promise<Trouble> {
    try {
      await this.flush();
      const { unsaved } = this.#autosave;
      return unsaved && !isGivenUp ? [unsaved] : await act();
    } catch (error) {
      return [storageProblem(error)];
    }
  }

  async #make(project: Project): Promise<Trouble> {
    return this.#open((await createProject(project)).id, false);
  }

  /** Opens a stored project; until that is done, what is open stays open and is saved. */
  async #open(id: string, takeOver: boolean): Promise<Trouble> {
    const read = await loadProject(id);
    if (!read.ok) return read.problems;
    const held = { isLost: false };
    const lock = await lockProject(id, takeOver, () => {
      held.isLost = true;
      if (this.#held === held) this.#session.getState().set({ save: { kind: 'elsewhere' } });
    });
    const { stored, trouble } = lock.isHeld
      ? await this.#claim(read.value)
      : { stored: read.value, trouble: undefined };
    this.#lock?.release();
    this.#lock = lock;
    this.#held = held;
    const state = (): SaveState => {
      if (!lock.isHeld || held.isLost) return { kind: 'elsewhere' };
      return trouble ? { kind: 'failed', reason: problemWords(trouble) } : { kind: 'saved', at: stored.savedAt };
    };
    this.#show(stored.project, id, state());
    this.#autosave.begin({ id, writer: this.#writer, seen: stored.writer }, stored.project, stored.savedAt);
    await rememberOpened(id).catch(() => {}); // then another one opens next time
    return [];
  }

  /** Claims a project as it now is: a save of the tab before may just have ended. Where nothing can be written it is open all the same. */
  async #claim(read: StoredProject): Promise<{ stored: StoredProject; trouble: Problem | undefined }> {
    try {
      const claimed = await claimProject(read.id, this.#writer);
      return claimed.ok
        ? { stored: claimed.value, trouble: undefined }
        : { stored: read, trouble: claimed.problems[0] };
    } catch (error) {
      return { stored: read, trouble: storageProblem(error) };
    }
  }

  #showUnkept(project: Project, problem: Problem): void {
    this.#show(project, undefined, { kind: 'failed', reason: problemWords(problem) });
  }

  #show(project: Project, projectId: string | undefined, save: SaveState): void {
    this.#autosave.begin(undefined, project, 0); // nothing is saved on the way from one to the other
    this.#document.getState().open(project);
    this.#session.getState().set({
      ...{ projectId, save, run: project.runs[0]?.id, point: undefined, tool: 'shape' },
      ...{ time: undefined, isPlaying: false, finding: undefined },
    });
    this.#session.getState().frame('all');
  }
}

/** The causeway alone, or the whole landing; loaded only where it is asked for. */
async function sampleNamed(name: string): Promise<Project> {
  const { causeway, saltgrassLanding } = await import('../../project/samples');
  return name === 'causeway' ? causeway() : saltgrassLanding();
}

/** Whether a project began as this sample: by its name, and whether it is the whole landing or the causeway alone. */
const isSample = (project: Project, sample: Project): boolean =>
  project.name === sample.name && project.segments.length > 2 === sample.segments.length > 2;
