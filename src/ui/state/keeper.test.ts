import 'fake-indexeddb/auto';
import { database } from '../../project/storage/database';
import { createProject, loadProject, saveProject } from '../../project/storage/projects';
import { FakeLocks } from '../../project/testing/fake-locks';
import { emptyProject } from '../../project/schema';
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
  const stored = async () => (await loadProject(session.getState().projectId!))!;
  return { document, session, keeper, rename, stored, save: () => session.getState().save.kind };
}

describe('Keeper', () => {
  it('opens an empty project at a first visit, the sample where that is asked for, and then what was open last', async () => {
    const first = start();
    await first.keeper.start();
    expect(first.document.getState().project).toMatchObject({ name: 'Untitled', runs: [] });
    first.rename('Mine');
    await first.keeper.flush();
    first.keeper.close();
    await new Promise((done) => setTimeout(done, 10));
    const again = start();
    await again.keeper.start();
    expect(again.document.getState().project.name).toBe('Mine');
    expect(again.save()).toBe('saved');
    again.keeper.close();
    await (await database()).clear('app');
    Object.assign(globalThis, { window: page('?sample=causeway') });
    const sample = start();
    await sample.keeper.start();
    expect(sample.document.getState().project.runs).toHaveLength(2);
    sample.keeper.close();
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
    keeper.close();
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
    keeper.close();
  });

  it('writes nothing over what somebody else has saved since', async () => {
    const { keeper, rename, stored, save } = start();
    await keeper.start();
    const { id, revision } = await stored();
    await saveProject(id, emptyProject('Theirs'), revision);
    rename('Mine');
    await keeper.flush();
    expect((await stored()).project.name).toBe('Theirs');
    expect(save()).toBe('elsewhere');
    rename('Mine again');
    await keeper.flush();
    expect((await stored()).project.name).toBe('Theirs');
    keeper.close();
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
    keeper.close();
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
    one.keeper.close();
    two.keeper.close();
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
    keeper.close();
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
