import { unwrap } from '../core/testing/runs';
import { setStep } from '../project/commands/runs';
import { movePoint } from '../project/commands/paths';
import { SLICING_STARTS } from '../core/segment/slicing-spec';
import type { Run } from '../project/schema';
import { causeway } from '../project/samples';
import type { Project } from '../project/schema';
import { loadFrom } from './bake';
import { Deriver, sourceOf } from './derive';
import { Recent } from './recent';
import { buildRunView, SegmentNumbers, transferables, type Held } from './run-view';

const NOTHING: Held = { topologyKey: undefined, surfaceKey: undefined };
const deriver = new Deriver(loadFrom(new Map()));
const numbers = new SegmentNumbers('a:');
const view = async (project: Project, held = NOTHING, time: number | null = null) => {
  const derived = unwrap(await deriver.derive(unwrap(sourceOf(project, project.runs[0]!)), time));
  return buildRunView(derived, held, numbers);
};

describe('buildRunView', () => {
  it('sends topology and materials once, and again only when they have changed', async () => {
    const first = await view(causeway());
    expect(first.topology!.indices.length / 3).toBe(first.triangles);
    expect(first.surface!.materials.length).toBeGreaterThan(2);
    const held = { topologyKey: first.topologyKey, surfaceKey: first.surfaceKey };
    const nudged = await view(movePoint(causeway(), 'causeway-line', 0, [-43.5, 0, 8.01]), held);
    expect(nudged.topology).toBeUndefined();
    expect(nudged.surface).toBeUndefined();
    expect(nudged.positions).not.toEqual(first.positions);
    const fewer = await view(setStep(causeway(), 'causeway', 'laying', { rule: 'byCount', count: 5 }), held);
    expect(fewer.topology).toBeDefined();
    expect(fewer.surface).toBeUndefined();
  });

  it('never takes another worker’s numbers for its own', async () => {
    const first = await view(causeway());
    const derived = unwrap(await deriver.derive(unwrap(sourceOf(causeway(), causeway().runs[0]!)), null));
    const held = { topologyKey: first.topologyKey, surfaceKey: first.surfaceKey };
    expect(buildRunView(derived, held, new SegmentNumbers('b:')).topology).toBeDefined();
  });

  it('says what every laying rule would come to', async () => {
    const { choices } = await view(causeway());
    expect(choices.fillStretch).toMatchObject({ count: 32, remainder: 0 });
    expect(choices.fillGaps).toMatchObject({ count: 32, stretch: 1 });
    expect(choices.byCount).toMatchObject({ count: 10, remainder: 0 }); // stretched over all of it
    const { choices: own } = await view(setStep(causeway(), 'causeway', 'laying', { countFit: 'own' }));
    expect(own.byCount!.remainder).toBeGreaterThan(80);
    expect(choices.onePiece!.stretch).toBeCloseTo(128.27 / 4, 1);
  });

  it('counts no piece beyond a path that trims', async () => {
    const laying = setStep(causeway(), 'causeway', 'laying', { count: 99, countFit: 'own' });
    const { choices } = await view(setStep(laying, 'causeway', 'bending', { pastEnd: 'trim' }));
    expect(choices.byCount!.count).toBe(Math.ceil(128.27 / 4));
  });

  it('samples the path from end to end, with tightness below 1 where nothing folds over', async () => {
    const { path } = await view(causeway());
    const { stations, length } = path;
    expect(path.line).toHaveLength(stations.length * 3);
    expect([stations[0], stations[stations.length - 1]]).toEqual([0, length]);
    expect(Math.max(...stations.slice(1).map((s, i) => s - stations[i]!))).toBeLessThan(length / 300);
    expect(Math.max(...path.tightness)).toBeLessThan(1);
    expect(Math.max(...path.tightness)).toBeGreaterThan(0.1);
  });

  it('says how many triangles each way of slicing comes to, before it is chosen', async () => {
    const asked = async (slicing: Run['bending']['slicing']) =>
      view(setStep(causeway(), 'causeway', 'bending', { slicing }));
    const { slicings, triangles, segment, laying } = await asked(SLICING_STARTS.auto);
    expect(slicings.auto).toBeGreaterThanOrEqual(triangles); // touching pieces lose the ends between them
    expect(slicings.off).toBe(segment.triangles * laying.placements.length);
    for (const by of ['rows', 'spacing', 'off'] as const) {
      const chosen = await asked(SLICING_STARTS[by]);
      const ends = slicings[by]! - chosen.triangles;
      expect(ends).toBe(slicings.auto! - triangles); // those same ends, however it is sliced
    }
  });

  it('hands over each buffer once', async () => {
    const buffers = transferables(await view(causeway()));
    expect(new Set(buffers).size).toBe(buffers.length);
    // A run of one piece as well, without taking the segment's own arrays away.
    const single = setStep(causeway(), 'causeway', 'laying', { rule: 'onePiece' });
    structuredClone(0, { transfer: transferables(await view(single)) });
    expect((await view(single)).topology!.indices.length).toBeGreaterThan(0);
  });

  it('is empty before anything has grown, and whole at the end', async () => {
    expect((await view(causeway(), NOTHING, 0)).positions).toHaveLength(0);
    const whole = await view(causeway());
    expect((await view(causeway(), NOTHING, 4)).positions).toEqual(whole.positions);
  });
});

describe('Recent', () => {
  it('keeps what was asked for last and makes the rest again', () => {
    const recent = new Recent<number>(2);
    let made = 0;
    const get = (key: string) => recent.get(key, () => ++made);
    expect([get('a'), get('b'), get('a'), get('c'), get('a'), get('b')]).toEqual([1, 2, 1, 3, 1, 4]);
    recent.drop('a');
    expect(get('a')).toBe(5);
  });
});
