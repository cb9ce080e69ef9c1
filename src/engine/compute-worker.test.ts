import 'fake-indexeddb/auto';
import { proxy, wrap, type Remote } from 'comlink';
import { makeSegmentMesh } from '../core/segment/registry';
import { pathOf } from '../core/testing/curves';
import { unwrap } from '../core/testing/runs';
import { sourceWith } from './testing/sources';
import { writerFor } from '../formats/registry';
import { MADE_PREPARE, makerDefaults } from '../project/defaults';
import { causeway } from '../project/samples';
import type { Guide, Segment } from '../project/schema';
import { loadAsset } from '../project/storage/assets';
import { FakeLocks } from '../project/testing/fake-locks';
import type { ComputeApi } from './compute-api';
import { ComputeClient, Crashed, Stopped } from './compute-client';

const post: Guide = {
  ...{ id: 'g', name: 'Mast', visible: true, clearance: 0.05 },
  shape: { from: 'body', kind: 'post', sizes: { radius: 0.3, height: 4 } },
  ...{ position: [3, -1, 0.1], turn: [0, 0, 0] },
};
const segment: Segment = {
  ...{ id: 's', name: 'S', source: { from: 'maker', spec: makerDefaults('tube') } },
  ...{ prepare: MADE_PREPARE, finishes: [] },
};
const source = () =>
  sourceWith({ segment, curve: pathOf('smooth', [[0, 0, 0], [3, 0, 0], [6, 0, 0]]), guides: [post] }); // prettier-ignore

/** The worker's own module in this process, spoken to over a channel as the page does. */
describe('the compute worker', () => {
  let api: Remote<ComputeApi>;
  /** Every channel there is, to be closed: each function that is handed over opens one. */
  const ports: MessagePort[] = [];
  const Channel = globalThis.MessageChannel;
  globalThis.MessageChannel = class extends Channel {
    constructor() {
      super();
      ports.push(this.port1);
    }
  };
  const { port1, port2 } = new MessageChannel();
  beforeAll(async () => {
    const scope = globalThis as unknown as Record<string, unknown>;
    for (const name of ['addEventListener', 'removeEventListener', 'postMessage'] as const)
      scope[name] = (port1[name] as (...a: unknown[]) => unknown).bind(port1);
    scope.self = { name: 'worker', postMessage: scope.postMessage };
    Object.defineProperty(globalThis, 'navigator', { value: { locks: new FakeLocks() }, configurable: true });
    await import('./compute.worker');
    port1.start();
    api = wrap<ComputeApi>(port2);
  });
  afterAll(() => {
    for (const port of ports) port.close();
    globalThis.MessageChannel = Channel;
  });

  it('shows a run, and sends again only what the page does not hold', async () => {
    const ask = { run: 'r', time: null };
    expect(await api.view({ ...ask, held: {} })).toMatchObject({ ok: false, problems: [{ code: 'run.unheld' }] });
    const first = unwrap(await api.view({ ...ask, source: source(), held: {} }));
    expect(first.changed.courses.main.geometry!.positions.length).toBeGreaterThan(100);
    expect(first.changed.courses.main.topology!.indices.length).toBeGreaterThan(100);
    expect(unwrap(await api.view({ ...ask, held: first.versions })).changed).toEqual({ courses: { main: {} } });
    const held = { ...first.versions, courses: { main: { ...first.versions.courses.main, geometry: '' } } };
    const again = unwrap(await api.view({ ...ask, held }));
    expect(again.changed).toEqual({ courses: { main: { geometry: first.changed.courses.main.geometry } } });
    const wrong = { ...source(), curve: pathOf('smooth', [[0, 0, 0]]) }; // prettier-ignore
    expect(await api.view({ ...ask, source: wrong, held: first.versions })).toMatchObject({
      ok: false,
      problems: [{ code: 'curve.too-few-points' }],
    });
    await api.keepOnly([]);
    expect(await api.view({ ...ask, held: {} })).toMatchObject({ ok: false, problems: [{ code: 'run.unheld' }] });
  });

  it('shows a segment straight, with its parts and where they lie', async () => {
    const shares: number[] = [];
    const view = unwrap(
      await api.segment(
        segment,
        proxy((share: number) => void shares.push(share)),
      ),
    );
    expect(view.length).toBeCloseTo(1, 6);
    expect(view.parts.map(({ from, to }) => [from, to])).toContainEqual([0, 1]);
    expect(view.rows).toBeGreaterThanOrEqual(2);
    expect(view.figures.before.triangles).toBe(view.topology.indices.length / 3);
  });

  it('asks guides: their mesh, their edges, a winding, the way out of them', async () => {
    expect(unwrap(await api.guide(post)).positions.length).toBeGreaterThan(100);
    const chains = unwrap(await api.edges(post, 0.5));
    expect(chains.length).toBeGreaterThanOrEqual(2); // its two rims
    const winding = { from: 0.5, rise: 2, turns: 2, startAngle: 0, clearance: 0.02 };
    for (const { position } of unwrap(await api.windRound(post, winding)))
      expect(Math.hypot(position[0] - 3, position[2] - 0.1)).toBeGreaterThan(0.3);
    const out = unwrap(await api.pushOut(source(), post));
    expect(out.points.some(({ position }) => Math.abs(position[2]) > 0.2)).toBe(true);
    const numbers = { ...source(), curve: pathOf('hanging', [[0, 0, 0], [6, 0, 0]]) }; // prettier-ignore
    expect(await api.pushOut(numbers, post)).toMatchObject({ ok: false, problems: [{ code: 'guide.not-cleared' }] });
  });

  it('reads paths once and places them as often as it is asked', async () => {
    const placing = { chosen: [0], unit: 1, plane: 'ground', up: 'y', isFlat: false, tolerance: 0, isSmooth: false, toOrigin: false } as never; // prettier-ignore
    const none = proxy(() => undefined);
    expect(await api.placed(placing, none)).toMatchObject({ ok: false, problems: [{ code: 'paths.gone' }] });
    const bytes = new TextEncoder().encode('x,y,z\n0,0,0\n4,0,0\n4,0,3\n');
    expect(unwrap(await api.paths({ name: 'a.csv', bytes }, none)).lines).toHaveLength(1);
    expect((await api.placed(placing, none)).ok).toBe(true);
    expect((await api.paths({ name: 'a.csv', bytes: new TextEncoder().encode('x') }, none)).ok).toBe(false);
  });

  it('brings a mesh and keeps it, and bakes a file with its progress', async () => {
    const mesh = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.1 });
    const [file] = await writerFor('glb')!.write!([{ name: 'A', mesh }], 'a');
    const { asset, triangles } = unwrap(
      await api.bring(
        [file],
        proxy(() => undefined),
      ),
    );
    expect(triangles).toBe(mesh.indices.length / 3);
    expect((await loadAsset(asset))!.length).toBeGreaterThan(500);
    const shares: number[] = [];
    const baked = unwrap(
      await api.bake(
        causeway(),
        'stl',
        'a',
        { time: null },
        proxy((share: number) => void shares.push(share)),
      ),
    );
    expect(baked.files[0].bytes.length).toBeGreaterThan(1000);
    await new Promise((done) => setTimeout(done, 50)); // news of progress comes on its own
    expect(shares.length).toBeGreaterThan(2);
  });
});

describe('ComputeClient', () => {
  const workers: { terminated: boolean; onerror?: (event: object) => void }[] = [];
  beforeAll(() => {
    Object.assign(globalThis, {
      Worker: class {
        terminated = false;
        constructor() {
          workers.push(this);
        }
        addEventListener() {}
        removeEventListener() {}
        postMessage() {}
        terminate() {
          this.terminated = true;
        }
      },
    });
  });
  const never = () => new Promise<never>(() => {});

  it('gives the answer, and stops work under way with its worker', async () => {
    const client = new ComputeClient();
    expect(await client.call(async () => 5)).toBe(5);
    const controller = new AbortController();
    const stopped = client.call(never, controller.signal);
    controller.abort();
    await expect(stopped).rejects.toBeInstanceOf(Stopped);
    expect(workers.map(({ terminated }) => terminated)).toEqual([true, false]); // and a new one is there
    await expect(client.call(async () => 6, controller.signal)).rejects.toThrow();
    client.close();
    expect(workers.at(-1)!.terminated).toBe(true);
  });

  it('begins what else was asked anew when one is stopped, and gives each its own answer once', async () => {
    const client = new ComputeClient();
    const controller = new AbortController();
    let begun = 0;
    let answer: (said: string) => void = () => undefined;
    const beside = client.call(() => {
      const round = ++begun;
      return new Promise<string>((resolve) =>
        round === 1 ? (answer = resolve) : setTimeout(() => resolve('anew'), 1),
      );
    });
    const stopped = client.call(never, controller.signal);
    controller.abort();
    answer('late'); // of the worker that was ended
    await expect(stopped).rejects.toBeInstanceOf(Stopped);
    expect(await beside).toBe('anew');
    expect(begun).toBe(2);
    // What has ended does not begin again when something else is stopped.
    const other = new AbortController();
    const last = client.call(never, other.signal);
    other.abort();
    await expect(last).rejects.toBeInstanceOf(Stopped);
    expect(begun).toBe(2);
    client.close();
  });

  it('tells every caller of a crash, and goes on with a new worker', async () => {
    const client = new ComputeClient();
    const waiting = [client.call(never), client.call(never)];
    let prevented = 0;
    workers.at(-1)!.onerror!({ message: 'out of memory', preventDefault: () => prevented++ });
    for (const call of waiting) await expect(call).rejects.toBeInstanceOf(Crashed);
    expect(prevented).toBe(1);
    expect(await client.call(async () => 7)).toBe(7);
  });
});
