import 'fake-indexeddb/auto';
import { causeway } from '../samples';
import { FakeLocks } from '../testing/fake-locks';
import { documentOf } from '../testing/version-1';
import { emptyProject, PROJECT_VERSION, type Project } from '../schema';
import { PREPARE_DEFAULTS } from '../../core/segment/segment-spec';
import { unwrap } from '../../core/testing/runs';
import { loadAsset, loadAssets, saveAsset } from './assets';
import { database } from './database';
import { dropUnusedAssets } from './drop-unused';
import {
  claimProject,
  createProject,
  deleteProject,
  lastOpened,
  listProjects,
  loadProject,
  rawProject,
  rememberOpened,
  restoreProject,
  saveProject,
} from './projects';
import { beginSequence, endSequence, keepFrame, keptFrame, unfinished } from './unfinished';
import { keptWork } from './worked';
import { lockProject } from './tab-lock';

const asset = (digit: string) => digit.repeat(64);
const using = (id: string): Project => ({
  ...emptyProject('Uses a mesh'),
  segments: [
    {
      id: 's',
      name: 'S',
      source: { from: 'asset', asset: id, fileName: 'a.glb' },
      prepare: PREPARE_DEFAULTS,
      finishes: [],
    },
  ],
});
const bytes = Uint8Array.of(1, 2, 3, 250);

let locks = new FakeLocks();

beforeEach(async () => {
  locks = new FakeLocks();
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
  const db = await database();
  await Promise.all([db.clear('projects'), db.clear('assets'), db.clear('app')]);
});

describe('projects in the browser', () => {
  it('come back as they were, the newest first, with how many runs they have', async () => {
    const first = await createProject(causeway());
    await new Promise((done) => setTimeout(done, 5));
    const second = await createProject(emptyProject('Second'));
    expect(unwrap(await loadProject(first.id)).project).toEqual(causeway());
    expect((await listProjects()).map(({ id, runs }) => [id, runs])).toEqual([[second.id, 0], [first.id, 2]]); // prettier-ignore
    await rememberOpened(first.id);
    expect(await lastOpened()).toBe(first.id);
    expect(await loadProject('none')).toMatchObject({ problems: [{ code: 'project.gone' }] });
  });

  it('are saved by the one who claimed them last: a save under way in the tab before is refused', async () => {
    const { id } = await createProject(emptyProject('One'));
    const first = unwrap(await claimProject(id, 'first'));
    expect(await saveProject(first, emptyProject('First'))).toBeGreaterThan(0);
    const second = unwrap(await claimProject(id, 'second'));
    expect(await saveProject(first, emptyProject('Late'))).toBeUndefined();
    expect(unwrap(await loadProject(id)).project.name).toBe('First');
    expect(await saveProject(second, emptyProject('Second'))).toBeGreaterThan(0);
    expect(unwrap(await loadProject(id))).toMatchObject({ writer: 'second', revision: 3, project: { name: 'Second' } });
  });

  it.each([
    ['not sound', { runs: 'none' }, 'project.invalid', 'Kept'],
    ['newer', { version: 99 }, 'project.newer', 'Kept'],
    ['without a project', undefined, 'project.absent', undefined],
  ])('that are %s say so on the shelf, and nothing of them is lost', async (_, change, code, name) => {
    const { id, ...rest } = await createProject(emptyProject('Kept'));
    const broken = { id, ...rest, project: change && { ...rest.project, ...change } } as never;
    await restoreProject(broken);
    expect(await loadProject(id)).toMatchObject({ ok: false, problems: [{ code }] });
    expect(await claimProject(id, 'me')).toMatchObject({ ok: false });
    expect(await listProjects()).toMatchObject([{ id, name: name ?? id, problem: { code } }]);
    expect(await rawProject(id)).toEqual(broken);
  });

  it('of an older version are brought up as they are opened, and written over by no reading', async () => {
    const { id, ...rest } = await createProject(emptyProject('Old'));
    const old = { id, ...rest, project: documentOf('Old') } as never;
    await restoreProject(old);
    expect(await listProjects()).toMatchObject([{ id, name: 'Old', runs: 1 }]);
    const { project } = unwrap(await loadProject(id));
    expect(project).toMatchObject({
      version: PROJECT_VERSION,
      runs: [{ shape: { turns: 2 }, courses: [{ segment: 's' }] }],
    });
    expect(await rawProject(id)).toEqual(old);
    await claimProject(id, 'me');
    expect(unwrap(await loadProject(id)).project).toEqual(project);
  });

  it('come back after they were deleted', async () => {
    const stored = await createProject(causeway());
    await deleteProject(stored.id);
    expect(await loadProject(stored.id)).toMatchObject({ ok: false });
    await restoreProject(stored);
    expect(unwrap(await loadProject(stored.id))).toEqual(stored);
  });
});

describe('brought meshes', () => {
  const DAY = 24 * 3600 * 1000;
  const there = async () => [...(await loadAssets([asset('a'), asset('b')])).keys()];

  it('are kept byte by byte, and never written over', async () => {
    await saveAsset(asset('a'), bytes);
    await saveAsset(asset('a'), Uint8Array.of(9));
    expect([...(await loadAsset(asset('a')))!]).toEqual([...bytes]);
    expect(await there()).toEqual([asset('a')]);
  });

  it('are dropped a day after no project uses them any more, unless one uses or brings them again', async () => {
    await saveAsset(asset('a'), bytes);
    await saveAsset(asset('b'), bytes);
    const user = await createProject(using(asset('a')));
    // Each time as if the only tab had just been opened.
    const dropAt = async (time: number) => {
      Object.defineProperty(globalThis, 'navigator', { value: { locks: new FakeLocks() }, configurable: true });
      await dropUnusedAssets(time);
    };
    await dropAt(0);
    await dropAt(0.9 * DAY);
    expect(await there()).toHaveLength(2);
    await saveAsset(asset('b'), bytes); // brought again: its day begins anew
    await dropAt(1.1 * DAY);
    expect(await there()).toHaveLength(2);
    await deleteProject(user.id);
    await dropAt(2 * DAY);
    await restoreProject(user);
    await dropAt(2.2 * DAY);
    expect(await there()).toEqual([asset('a')]);
  });

  it('are dropped neither while another tab is open nor while one project cannot be understood', async () => {
    await saveAsset(asset('a'), bytes);
    await dropUnusedAssets(0); // this tab stays open
    await dropUnusedAssets(9 * DAY);
    expect(await there()).toHaveLength(1);
    const unsound = await createProject({ ...emptyProject('x'), version: 99 } as never);
    Object.defineProperty(globalThis, 'navigator', { value: { locks: new FakeLocks() }, configurable: true });
    await dropUnusedAssets(9 * DAY);
    expect(await there()).toHaveLength(1);
    await deleteProject(unsound.id);
    Object.defineProperty(globalThis, 'navigator', { value: { locks: new FakeLocks() }, configurable: true });
    await dropUnusedAssets(9 * DAY);
    expect(await there()).toHaveLength(0);
  });
});

describe('the lock of a project', () => {
  it('is held by one, taken over when that is asked for, and free when it is let go', async () => {
    const lost: string[] = [];
    const ask = (name: string, takeOver = false) => lockProject('p', takeOver, () => lost.push(name));
    const first = await ask('first');
    expect(first.isHeld).toBe(true);
    expect((await ask('second')).isHeld).toBe(false);
    const third = await ask('third', true);
    await new Promise((done) => setTimeout(done, 0));
    expect([third.isHeld, lost]).toEqual([true, ['first']]);
    third.release();
    await new Promise((done) => setTimeout(done, 0));
    expect((await ask('fourth')).isHeld).toBe(true);
    expect(lost).toEqual(['first']);
  });
});

describe('a sequence that has not ended', () => {
  const sequence = { project: 'p', state: 's', count: 3, asked: '{"of":"meshes"}' };
  const frame = (name: string) => [{ name, blob: new Blob([name]) }];

  it('is there with its frames until it ends or another one begins', async () => {
    expect(await unfinished()).toBeUndefined();
    await beginSequence(sequence);
    await keepFrame(1, frame('a_0001.glb'));
    await keepFrame(2, frame('a_0002.glb'));
    expect(await unfinished()).toEqual({ ...sequence, done: 2 });
    expect((await keptFrame(2))?.[0].name).toBe('a_0002.glb');
    expect(await keptFrame(3)).toBeUndefined();
    await beginSequence({ ...sequence, state: 'other' });
    expect(await unfinished()).toEqual({ ...sequence, state: 'other', done: 0 });
    await keepFrame(1, frame('b_0001.glb'));
    await endSequence();
    expect([await unfinished(), await keptFrame(1)]).toEqual([undefined, undefined]);
  });
});

describe('parts of work that has not ended', () => {
  it('are there for the same work until it ends, and go for another one', async () => {
    const work = await keptWork('one');
    await work.write('a', { positions: Float32Array.of(1, 2) });
    expect(await (await keptWork('one')).read('a')).toEqual({ positions: Float32Array.of(1, 2) });
    expect(await (await keptWork('other')).read('a')).toBeUndefined();
    await (await keptWork('other')).write('b', 7);
    await (await keptWork('other')).end();
    expect(await (await keptWork('other')).read('b')).toBeUndefined();
  });
});
