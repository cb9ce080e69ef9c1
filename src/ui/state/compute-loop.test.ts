import { loadFrom } from '../../engine/bake';
import { Crashed, type ComputeClient } from '../../engine/compute-client';
import { Deriver } from '../../engine/derive';
import { RunViewer, type ViewAsk } from '../../engine/run-viewer';
import { deletePoints, movePoint } from '../../project/commands/paths';
import type { Vec3 } from '../../core/math/vec3';
import { addGuide, changeGuide } from '../../project/commands/guides';
import { setMotion } from '../../project/commands/motion';
import { changeRun, deleteRun, renameProject, setRule } from '../../project/commands/runs';
import type { Project } from '../../project/schema';
import { causeway } from '../../project/samples';
import { ComputeLoop } from './compute-loop';
import { createDocumentStore } from './document-store';
import { createResultsStore } from './results-store';
import { createSessionStore } from './session-store';

/** The loop with the computation in this process; `crashes` calls fail first. */
function start({ crashes = 0 } = {}) {
  const document = createDocumentStore();
  const session = createSessionStore();
  const results = createResultsStore();
  document.getState().open(deleteRun(causeway(), 'kerb-drain-run'));
  const deriver = new Deriver(loadFrom(new Map()));
  const viewer = new RunViewer(deriver, 'test:');
  const calls: number[] = [];
  let left = crashes;
  const api = {
    async view(ask: ViewAsk) {
      if (ask.source) calls.push(ask.source.curve.points[3]?.position[0] ?? NaN);
      else calls.push(NaN);
      await new Promise((done) => setTimeout(done, 1));
      if (left-- > 0) throw new Crashed('gone');
      return viewer.view(ask);
    },
    keepOnly: async (runs: readonly string[]) => viewer.keepOnly(runs),
  };
  const client = { call: (work: (a: typeof api) => Promise<unknown>) => work(api) } as unknown as ComputeClient;
  let told = 0;
  const loop = new ComputeLoop({ document, session, results }, client, () => told++);
  const idle = async () => {
    do await new Promise((done) => setTimeout(done, 2));
    while (results.getState().busy.size > 0);
  };
  return { document, session, results, calls, loop, idle, told: () => told };
}

describe('ComputeLoop', () => {
  it('asks once at first, and for the newest state only after many edits', async () => {
    const { document, results, calls, loop, idle } = start();
    for (let x = 1; x <= 20; x++) document.getState().edit((p) => movePoint(p, 'causeway-line', 3, [x, 0.5, 11]));
    await idle();
    expect(calls.length).toBeLessThanOrEqual(2);
    expect(calls[calls.length - 1]).toBe(20);
    expect(results.getState().results.get('causeway')!.courses[0].layout.placements.length).toBeGreaterThan(20);
    loop.close();
  });

  it('does not ask again for what did not change', async () => {
    const { document, calls, idle, loop } = start();
    await idle();
    const before = calls.length;
    document.getState().edit((p) => changeRun(p, 'causeway', { name: 'Renamed' }));
    await idle();
    expect(calls).toHaveLength(before);
    loop.close();
  });

  it('keeps the last good result and tells the problem when the newest state cannot be laid', async () => {
    const { document, results, idle, loop } = start();
    await idle();
    for (let i = 0; i < 7; i++) document.getState().edit((p) => deletePoints(p, 'causeway-line', [0]));
    await idle();
    expect(results.getState().problems.get('causeway')).toMatchObject([{ code: 'curve.too-few-points' }]);
    expect(results.getState().results.has('causeway')).toBe(true);
    document.temporal.getState().undo();
    await idle();
    expect(results.getState().problems.size).toBe(0);
    loop.close();
  });

  it('tries once more after a crash, and then waits for the next edit', async () => {
    const once = start({ crashes: 1 });
    await once.idle();
    expect(once.told()).toBe(1);
    expect(once.results.getState().results.size).toBe(1);
    once.loop.close();
    const twice = start({ crashes: 2 });
    await twice.idle();
    expect(twice.told()).toBe(2);
    expect(twice.results.getState().problems.get('causeway')).toMatchObject([{ code: 'worker.crashed' }]);
    twice.document.getState().edit((p) => movePoint(p, 'causeway-line', 3, [5, 0.5, 11]));
    await twice.idle();
    expect(twice.results.getState().problems.size).toBe(0);
    twice.loop.close();
  });

  it('asks again when the time, the motion or a guide changes', async () => {
    const { document, session, calls, idle, loop } = start();
    const asks = async (what: string, change: () => void, isAsked: boolean) => {
      const before = calls.length;
      change();
      await idle();
      if (calls.length > before !== isAsked) throw new Error(`${what}: ${calls.length - before} calls`);
    };
    await idle();
    const edit = (change: (p: Project) => Project) => () => document.getState().edit(change);
    await asks('time', () => session.getState().set({ time: 1.5 }), true);
    await asks('the same time', () => session.getState().set({ time: 1.5 }), false);
    await asks(
      'motion',
      edit((p) => setMotion(p, 'causeway', { growth: { kind: 'stretchOut', seconds: 9 } })),
      true,
    );
    const post = { shape: { from: 'body' as const, kind: 'post' as const, sizes: {} }, position: [0, 0, 50] as Vec3, turn: [0, 0, 0] as Vec3 }; // prettier-ignore
    const guide = { id: 'g', name: 'G', visible: true, ...post };
    await asks(
      'a guide that is not checked',
      edit((p) => addGuide(p, { ...guide, clearance: null })),
      false,
    );
    await asks(
      'one that is',
      edit((p) => changeGuide(p, 'g', { clearance: 1 })),
      true,
    );
    await asks(
      'its place',
      edit((p) => changeGuide(p, 'g', { position: [0, 0, 40] })),
      true,
    );
    await asks(
      'its name',
      edit((p) => renameProject(p, 'Other')),
      false,
    );
    loop.close();
  });

  it('has a topology that fits the positions after every change of count', async () => {
    const { document, results, idle, loop } = start();
    for (const count of [3, 7, 2, 12]) {
      document.getState().edit((p) => setRule(p, { run: 'causeway' }, { kind: 'byCount', count, over: 'own', gap: 0 }));
      await idle();
      const { layout, geometry, topology } = results.getState().results.get('causeway')!.courses[0];
      expect(layout.placements).toHaveLength(count);
      expect(topology.uvs.length / 2).toBe(geometry.positions.length / 3);
      expect(topology.indices.reduce((a, b) => Math.max(a, b), 0)).toBe(geometry.positions.length / 3 - 1);
      expect(topology.indices.length / 3).toBe(geometry.triangles);
    }
    loop.close();
  });

  it('forgets runs that are gone', async () => {
    const { document, results, idle, loop } = start();
    await idle();
    document.getState().edit((p) => deleteRun(p, 'causeway'));
    await idle();
    expect(results.getState().results.size).toBe(0);
    loop.close();
  });
});
