import 'fake-indexeddb/auto';
import { causeway } from '../samples';
import { FakeLocks } from '../testing/fake-locks';
import { emptyProject, type Project } from '../schema';
import { PREPARE_DEFAULTS } from '../../core/segment/segment-spec';
import { loadAsset, loadAssets, saveAsset } from './assets';
import { database } from './database';
import {
  createProject,
  deleteProject,
  dropUnusedAssets,
  lastOpened,
  listProjects,
  loadProject,
  rememberOpened,
  restoreProject,
  saveProject,
} from './projects';
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

beforeEach(async () => {
  const db = await database();
  await Promise.all([db.clear('projects'), db.clear('assets'), db.clear('app')]);
});

describe('projects in the browser', () => {
  it('come back as they were, the newest first, with how many runs they have', async () => {
    const first = await createProject(causeway());
    await new Promise((done) => setTimeout(done, 5));
    const second = await createProject(emptyProject('Second'));
    expect((await loadProject(first.id))!.project).toEqual(causeway());
    expect((await listProjects()).map(({ id, runs }) => [id, runs])).toEqual([[second.id, 0], [first.id, 2]]); // prettier-ignore
    await rememberOpened(first.id);
    expect(await lastOpened()).toBe(first.id);
    expect(await loadProject('none')).toBeUndefined();
  });

  it('are saved over the revision that was read, and never over a newer one', async () => {
    const { id, revision } = await createProject(emptyProject('One'));
    const mine = await saveProject(id, emptyProject('Mine'), revision);
    expect(mine).toMatchObject({ revision: revision + 1 });
    expect(await saveProject(id, emptyProject('Late'), revision)).toBeUndefined();
    expect((await loadProject(id))!.project.name).toBe('Mine');
  });

  it('that are not sound are not opened, and nothing of them is lost', async () => {
    const { id, ...rest } = await createProject(emptyProject('Sound'));
    const broken = { id, ...rest, project: { ...rest.project, runs: 'none' } as never };
    await restoreProject(broken);
    expect(await loadProject(id)).toBeUndefined();
    expect(await (await database()).get('projects', id)).toEqual(broken);
  });

  it('come back after they were deleted', async () => {
    const stored = await createProject(causeway());
    await deleteProject(stored.id);
    expect(await loadProject(stored.id)).toBeUndefined();
    await restoreProject(stored);
    expect(await loadProject(stored.id)).toEqual(stored);
  });
});

describe('brought meshes', () => {
  it('are kept byte by byte', async () => {
    await saveAsset(asset('a'), bytes);
    expect([...(await loadAsset(asset('a')))!]).toEqual([...bytes]);
    expect([...(await loadAssets([asset('a'), asset('b')])).keys()]).toEqual([asset('a')]);
  });

  it('are dropped when no project uses them, and kept while one project cannot be understood', async () => {
    await saveAsset(asset('a'), bytes);
    await saveAsset(asset('b'), bytes);
    await createProject(using(asset('a')));
    const unsound = await createProject({ ...emptyProject('x'), version: 99 } as never);
    await dropUnusedAssets();
    expect((await loadAssets([asset('a'), asset('b')])).size).toBe(2);
    await deleteProject(unsound.id);
    await dropUnusedAssets();
    expect([...(await loadAssets([asset('a'), asset('b')])).keys()]).toEqual([asset('a')]);
  });
});

describe('the lock of a project', () => {
  it('is held by one, taken over when that is asked for, and free when it is let go', async () => {
    const locks = new FakeLocks();
    Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
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
