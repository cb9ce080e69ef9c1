import 'fake-indexeddb/auto';
import { unwrap } from '../../core/testing/runs';
import { database } from '../../project/storage/database';
import {
  claimProject,
  createProject,
  listProjects,
  loadProject,
  restoreProject,
  saveProject,
} from '../../project/storage/projects';
import { takeUpNotes } from '../../project/storage/journal';
import { FakeLocks } from '../../project/testing/fake-locks';
import { documentOf } from '../../project/testing/version-1';
import { PROJECT_VERSION, emptyProject } from '../../project/schema';
import { renameProject } from '../../project/commands/runs';
import { createDocumentStore } from './document-store';
import { Keeper } from './keeper';
import { createSessionStore } from './session-store';

/** What of a page the keeper touches: events of leaving it, and its address. */
function page(search = '') {
  const target = new EventTarget();
  return Object.assign(target, { location: { search } });
}
const locks = new FakeLocks();

beforeEach(async () => {
  const db = await database();
  await Promise.all([db.clear('projects'), db.clear('assets'), db.clear('app')]);
  Object.assign(globalThis, { window: page() });
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
});

function start() {
  const document = createDocumentStore();
  const session = createSessionStore();
  const keeper = new Keeper(document, session);
  const rename = (name: string) => document.getState().edit((p) => renameProject(p, name));
  const stored = async () => unwrap(await loadProject(session.getState().projectId!));
  return { document, session, keeper, rename, stored, save: () => session.getState().save.kind };
}

describe('Keeper', () => {
  it('opens an empty project at a first visit, the sample where that is asked for, and then what was open last', async () => {
    const first = start();
    await first.keeper.start();
    expect(first.document.getState().project).toMatchObject({ name: 'Untitled', runs: [] });
    first.rename('Mine');
    await first.keeper.flush();
    void first.keeper.close();
    await new Promise((done) => setTimeout(done, 10));
    const again = start();
    await again.keeper.start();
    expect(again.document.getState().project.name).toBe('Mine');
    expect(again.save()).toBe('saved');
    void again.keeper.close();
    await (await database()).clear('app');
    Object.assign(globalThis, { window: page('?sample=causeway') });
    const sample = start();
    await sample.keeper.start();
    expect(sample.document.getState().project.runs).toHaveLength(2);
    void sample.keeper.close();
  });

  it('saves what was edited during a save as well', async () => {
    const { keeper, rename, stored, save } = start();
    await keeper.start();
    rename('First');
    const saving = keeper.flush();
    for (let k = 0; k < 4; k++) await Promise.resolve(); // it is on its way to the store
    rename('Second');
    await saving;
    expect(save()).toBe('saving'); // the second one is still to come
    await keeper.flush();
    expect((await stored()).project.name).toBe('Second');
    expect(save()).toBe('saved');
    void keeper.close();
  });

  it('saves by itself after a while, and when the page is hidden', async () => {
    const { keeper, rename, stored } = start();
    await keeper.start();
    rename('After a while');
    await new Promise((done) => setTimeout(done, 700));
    expect((await stored()).project.name).toBe('After a while');
    rename('Hidden');
    window.dispatchEvent(new Event('pagehide'));
    await new Promise((done) => setTimeout(done, 50));
    expect((await stored()).project.name).toBe('Hidden');
    void keeper.close();
  });

  it('writes nothing over what somebody else has saved since', async () => {
    const { keeper, rename, stored, save } = start();
    await keeper.start();
    await saveProject(unwrap(await claimProject((await stored()).id, 'they')), emptyProject('Theirs'));
    rename('Mine');
    await keeper.flush();
    expect((await stored()).project.name).toBe('Theirs');
    expect(save()).toBe('elsewhere');
    rename('Mine again');
    await keeper.flush();
    expect((await stored()).project.name).toBe('Theirs');
    void keeper.close();
  });

  it('keeps the last good state of a project that is not sound, and says so', async () => {
    const { keeper, rename, document, session, stored, save } = start();
    await keeper.start();
    rename('Good');
    await keeper.flush();
    document.getState().edit((p) => ({ ...p, runs: [{ id: 'bad' }] as never }));
    await keeper.flush();
    expect(save()).toBe('failed');
    expect((session.getState().save as { reason: string }).reason).toMatch(/Not saved/);
    expect((await stored()).project.name).toBe('Good');
    void keeper.close();
  });

  it('lets one tab save: the other takes over, and the first one says so', async () => {
    const one = start();
    await one.keeper.start();
    const two = start();
    await two.keeper.start();
    expect(two.session.getState().projectId).toBe(one.session.getState().projectId);
    expect([one.save(), two.save()]).toEqual(['saved', 'elsewhere']);
    one.rename('From the first');
    await one.keeper.flush();
    await two.keeper.takeOver();
    await new Promise((done) => setTimeout(done, 5));
    expect([one.save(), two.save()]).toEqual(['elsewhere', 'saved']);
    expect(two.document.getState().project.name).toBe('From the first');
    one.rename('Too late');
    await one.keeper.flush();
    two.rename('From the second');
    await two.keeper.flush();
    expect((await two.stored()).project.name).toBe('From the second');
    void one.keeper.close();
    void two.keeper.close();
  });

  it('saves the first edit at once and then every half second while one goes on editing', async () => {
    const { keeper, rename, stored } = start();
    await keeper.start();
    const sleep = (ms: number) => new Promise((done) => setTimeout(done, ms));
    const late: number[] = [];
    const begun = performance.now();
    for (let k = 0; k < 24; k++) {
      rename(String(Math.round(performance.now() - begun)));
      await sleep(50);
      if (k > 0) late.push(performance.now() - begun - Number((await stored()).project.name));
    }
    expect(late[0]).toBeLessThan(250);
    expect(Math.max(...late)).toBeLessThan(800); // half a second, and what a busy machine adds
    expect((await stored()).revision).toBeLessThan(8); // not at every one of the 24 edits
    void keeper.close();
  });

  it('says that there is no room, keeps what is open, and saves it when there is', async () => {
    const { keeper, rename, document, save, session, stored } = start();
    await keeper.start();
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    rename('No room');
    await keeper.flush();
    expect(session.getState().save).toMatchObject({ kind: 'failed', reason: expect.stringMatching(/no room left/) });
    const full = [{ code: 'storage.full' }];
    expect(await keeper.create(emptyProject('Other'))).toMatchObject(full);
    expect(document.getState().project.name).toBe('No room');
    IDBObjectStore.prototype.put = put;
    const other = await createProject(emptyProject('Other'));
    rename('Room again');
    await keeper.flush();
    expect([save(), (await stored()).project.name]).toEqual(['saved', 'Room again']);
    expect(await keeper.open(other.id)).toEqual([]);
    void keeper.close();
  });

  it('opens what was open last where there is no room to claim it, and saves it when there is', async () => {
    const first = start();
    await first.keeper.start();
    first.rename('Kept');
    await first.keeper.close();
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    const again = start();
    expect(await again.keeper.start()).toEqual([]);
    expect([again.document.getState().project.name, again.save()]).toEqual(['Kept', 'failed']);
    IDBObjectStore.prototype.put = put;
    again.rename('Room again');
    await again.keeper.flush();
    expect([again.save(), (await again.stored()).project.name]).toEqual(['saved', 'Room again']);
    await again.keeper.close();
  });

  it('goes on saving what is open where another one cannot be opened', async () => {
    const { keeper, rename, document, stored, save } = start();
    await keeper.start();
    const other = await createProject({ ...emptyProject('Newer'), version: 99 } as never);
    expect(await keeper.open(other.id)).toMatchObject([{ code: 'project.newer' }]);
    rename('Still here');
    await keeper.flush();
    expect([document.getState().project.name, (await stored()).project.name, save()]).toEqual(['Still here', 'Still here', 'saved']); // prettier-ignore
    await keeper.close();
  });

  it('opens an empty project that is not kept where the browser keeps nothing, and says why', async () => {
    const { indexedDB } = globalThis;
    Object.assign(globalThis, { indexedDB: undefined });
    const { keeper, rename, document, session } = start();
    expect(await keeper.start()).toMatchObject([{ code: 'storage.none' }]);
    rename('On the screen');
    await keeper.flush();
    expect(document.getState().project.name).toBe('On the screen');
    expect(session.getState()).toMatchObject({ projectId: undefined, save: { kind: 'failed' } });
    Object.assign(globalThis, { indexedDB });
    void keeper.close();
  });

  it('says why what was open last does not open, and leaves it where it is', async () => {
    const first = start();
    await first.keeper.start();
    await restoreProject({
      ...(await first.stored()),
      project: { ...emptyProject('From tomorrow'), version: 99 } as never,
    });
    void first.keeper.close();
    await new Promise((done) => setTimeout(done, 10));
    const again = start();
    expect(await again.keeper.start()).toMatchObject([{ code: 'project.newer' }]);
    expect((await listProjects()).map(({ name }) => name).sort()).toEqual(['From tomorrow', 'Untitled']);
    expect(again.session.getState().dialog).toBe('shelf'); // where its file can be had
    void again.keeper.close();
  });

  it('opens a project of an older version with all that it said, and saves it as one of this', async () => {
    const first = start();
    await first.keeper.start();
    await restoreProject({ ...(await first.stored()), project: documentOf('Of old') as never });
    void first.keeper.close();
    await new Promise((done) => setTimeout(done, 10));
    const again = start();
    expect(await again.keeper.start()).toEqual([]);
    expect(again.document.getState().project).toMatchObject({ name: 'Of old', runs: [{ name: 'Causeway' }] });
    expect(again.session.getState().dialog).toBeUndefined();
    again.rename('Of now');
    await again.keeper.flush();
    expect((await again.stored()).project).toMatchObject({
      version: PROJECT_VERSION,
      name: 'Of now',
      runs: [{ reach: { from: 3 } }],
    });
    void again.keeper.close();
  });

  it('never says that it saved what another tab has taken over in the meantime', async () => {
    for (let pause = 0; pause < 12; pause++) {
      const one = start();
      await one.keeper.start();
      const two = start();
      await two.keeper.start();
      one.rename(`Edit ${pause}`);
      const saving = one.keeper.flush();
      for (let k = 0; k < pause; k++) await new Promise((done) => setImmediate(done));
      const taken = two.keeper.takeOver();
      await Promise.all([saving, taken]);
      await new Promise((done) => setTimeout(done, 5));
      expect([one.save(), two.save()]).toEqual(['elsewhere', 'saved']);
      two.rename('Goes on');
      await two.keeper.flush();
      expect([two.save(), (await two.stored()).project.name]).toEqual(['saved', 'Goes on']);
      void one.keeper.close();
      void two.keeper.close();
      await new Promise((done) => setTimeout(done, 5));
    }
  });

  it('opens another project with nothing left of the one before', async () => {
    const { keeper, session, document, rename } = start();
    await keeper.start();
    const other = await createProject(emptyProject('Other'));
    rename('Left behind');
    session.getState().set({ point: 3, time: 1.5, isPlaying: true });
    await keeper.open(other.id);
    expect(document.getState().project.name).toBe('Other');
    expect(document.temporal.getState().pastStates).toHaveLength(0);
    expect(session.getState()).toMatchObject({ point: undefined, more: [], time: undefined, isPlaying: false });
    void keeper.close();
  });
});

describe('the session', () => {
  it('lets go of points chosen before when another one is chosen', () => {
    const session = createSessionStore();
    session.getState().set({ point: 1, more: [2, 3] });
    session.getState().set({ step: 'laying' });
    expect(session.getState().more).toEqual([2, 3]);
    session.getState().set({ point: 4 });
    expect(session.getState()).toMatchObject({ point: 4, more: [] });
  });

  it('frames what is asked for: the chosen guide, or the run where there is none', () => {
    const session = createSessionStore();
    session.getState().frame('chosen');
    expect(session.getState().framing).toEqual({ what: 'run', count: 1 });
    session.getState().set({ guide: 'g' });
    session.getState().frame('chosen');
    expect(session.getState().framing).toEqual({ what: 'guide', count: 2 });
  });
});

describe('what a page had not kept when it ended', () => {
  /** Where small things are written at once, as a browser has it. */
  class FakeStorage {
    setItem(key: string, value: string) {
      Object.assign(this, { [key]: value });
    }
    getItem(key: string): string | null {
      return (this as unknown as Record<string, string>)[key] ?? null;
    }
    removeItem(key: string) {
      delete (this as unknown as Record<string, string>)[key];
    }
  }
  let notes: FakeStorage;
  beforeEach(() => Object.assign(globalThis, { localStorage: (notes = new FakeStorage()) }));
  afterEach(() => Object.assign(globalThis, { localStorage: undefined }));

  /** A page whose saves are never done, which has come to its end. */
  async function ended(name = 'Unkept') {
    const never = createSessionStore();
    const document = createDocumentStore();
    const keeper = new Keeper(document, never, () => new Promise(() => {}));
    await keeper.start();
    document.getState().edit((p) => renameProject(p, name));
    const transaction = jest.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(() => {
      throw new Error('the page is gone');
    });
    window.dispatchEvent(new Event('pagehide'));
    await new Promise((done) => setTimeout(done, 5));
    transaction.mockRestore();
    const id = never.getState().projectId!;
    return { id, document };
  }

  it('is there at the next start, and is noted no longer', async () => {
    const { id } = await ended();
    expect(Object.keys(notes)).toEqual([`rattan-unsaved:${id}`]);
    expect(unwrap(await loadProject(id)).project.name).toBe('Untitled');
    Object.assign(globalThis, { window: page() });
    await takeUpNotes();
    expect(unwrap(await loadProject(id)).project.name).toBe('Unkept');
    expect(Object.keys(notes)).toEqual([]);
  });

  it('gives way to another tab that has had the project since, and to what was kept later', async () => {
    const { id } = await ended();
    await claimProject(id, 'another');
    await takeUpNotes();
    expect(unwrap(await loadProject(id)).project.name).toBe('Untitled');
    const later = unwrap(await loadProject(id));
    await saveProject({ id, writer: 'another' }, renameProject(later.project, 'Later'));
    notes.setItem(`rattan-unsaved:${id}`, JSON.stringify({ writer: 'another', at: Date.now() - 60_000, project: later.project })); // prettier-ignore
    await takeUpNotes();
    expect(unwrap(await loadProject(id)).project.name).toBe('Later');
  });

  it('stands in no way where it cannot be read, or its project is gone', async () => {
    const { id } = await ended();
    const [key] = Object.keys(notes);
    notes.setItem('rattan-unsaved:gone', notes.getItem(key)!);
    notes.setItem('rattan-unsaved:broken', '{"writer":');
    notes.setItem('other', 'kept');
    await takeUpNotes();
    expect(unwrap(await loadProject(id)).project.name).toBe('Unkept');
    expect(Object.keys(notes)).toEqual(['other']);
  });

  it('is not noted where all is kept', async () => {
    const { keeper, rename } = start();
    await keeper.start();
    rename('Kept');
    await keeper.flush();
    window.dispatchEvent(new Event('pagehide'));
    expect(Object.keys(notes)).toEqual([]);
    void keeper.close();
  });
});
