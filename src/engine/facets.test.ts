import { SLICING_STARTS } from '../core/segment/slicing-spec';
import { unwrap } from '../core/testing/runs';
import { movePoint } from '../project/commands/paths';
import { setMotion } from '../project/commands/motion';
import { setRule, setStep } from '../project/commands/runs';
import { causeway } from '../project/samples';
import type { Project, Run } from '../project/schema';
import { loadFrom } from './bake';
import { choicesOf } from './choices';
import { Deriver } from './derive';
import { buffersOf, facetsOf, FacetVersions, type CourseFacets, type RunFacets, type Versions } from './facets';
import { sourceOf } from './run-source';

const deriver = new Deriver(loadFrom(new Map()));
const versions = new FacetVersions('a:');
const updateOf = async (project: Project, held: Partial<Versions> = {}, time: number | null = null, own = versions) =>
  facetsOf(unwrap(await deriver.derive(unwrap(sourceOf(project, project.runs[0])))), time, held, own, deriver);
/** What has changed of a run with one course, all in one. */
const seen = async (...asked: Parameters<typeof updateOf>) => {
  const { versions: now, changed } = await updateOf(...asked);
  const { courses, ...run } = changed;
  return { versions: now, changed: { ...run, ...courses.main } };
};
const view = async (project: Project, time: number | null = null) =>
  (await seen(project, {}, time)).changed as RunFacets & CourseFacets;
const choices = async (project: Project) => {
  const derived = unwrap(await deriver.derive(unwrap(sourceOf(project, project.runs[0]))));
  return choicesOf(derived, derived.courses[0]);
};
const buffersSeen = async (project: Project) => buffersOf((await updateOf(project)).changed);
const counted = (count: number, over: 'own' | 'stretch' = 'own') =>
  setRule(causeway(), { run: 'causeway' }, { kind: 'byCount', count, over, gap: 0 });

describe('the facets of a run', () => {
  it('are sent when they have changed, and only then', async () => {
    const first = await seen(causeway());
    expect(first.changed.topology!.indices.length / 3).toBe(first.changed.geometry!.triangles);
    expect(first.changed.surface!.materials.length).toBeGreaterThan(2);
    expect((await seen(causeway(), first.versions)).changed).toEqual({});
    const nudged = await seen(movePoint(causeway(), 'causeway-line', 0, [-43.5, 0, 8.01]), first.versions);
    expect(Object.keys(nudged.changed).sort()).toEqual(['findings', 'geometry', 'layout', 'path', 'segment', 'wheels']);
    expect(nudged.changed.geometry!.positions).not.toEqual(first.changed.geometry!.positions);
    const fewer = await seen(counted(5), first.versions);
    expect(fewer.changed.topology).toBeDefined();
    expect(fewer.changed.surface).toBeUndefined();
  });

  it('are only the geometry while time plays', async () => {
    const growing = setMotion(causeway(), 'causeway', { growth: { kind: 'stretchOut', seconds: 4 } });
    const first = await seen(growing, {}, 1);
    const next = await seen(growing, first.versions, 1.1);
    expect(Object.keys(next.changed)).toEqual(['geometry']);
  });

  it('are never taken for those of another worker', async () => {
    const first = await seen(causeway());
    const other = await seen(causeway(), first.versions, null, new FacetVersions('b:'));
    expect(other.changed.topology).toBeDefined();
    expect(other.changed.path).toBeDefined();
  });

  it('say what every laying rule would come to', async () => {
    const { rules } = await choices(causeway());
    expect(rules.fillStretch).toMatchObject({ count: 32, remainder: 0 });
    expect(rules.fillGaps).toMatchObject({ count: 32, stretch: { least: 1, greatest: 1 } });
    expect(rules.byCount).toMatchObject({ count: 10, remainder: 0 }); // stretched over all of it
    expect((await choices(counted(10))).rules.byCount!.remainder).toBeGreaterThan(80);
    expect(rules.onePiece!.stretch.greatest).toBeCloseTo(128.27 / 4, 1);
  });

  it('count no piece beyond a path that trims', async () => {
    const { rules } = await choices(setStep(counted(99), 'causeway', 'bending', { pastEnd: 'trim' }));
    expect(rules.byCount!.count).toBe(Math.ceil(128.27 / 4));
  });

  it('have the path from end to end, with tightness below 1 where nothing folds over', async () => {
    const { path } = await view(causeway());
    const { stations, length } = path;
    expect(path.line).toHaveLength(stations.length * 3);
    expect([stations[0], stations[stations.length - 1]]).toEqual([0, length]);
    expect(Math.max(...stations.slice(1).map((s, i) => s - stations[i]))).toBeLessThan(length / 300);
    expect(Math.max(...path.tightness)).toBeLessThan(1);
    expect(Math.max(...path.tightness)).toBeGreaterThan(0.1);
  });

  it('say how many triangles each way of slicing comes to, before it is chosen', async () => {
    const sliced = (slicing: Run['bending']['slicing']) => setStep(causeway(), 'causeway', 'bending', { slicing });
    const asked = async (slicing: Run['bending']['slicing']) => view(sliced(slicing));
    const { geometry, segment, layout } = await asked(SLICING_STARTS.auto);
    const { slicings } = await choices(sliced(SLICING_STARTS.auto));
    expect(slicings.auto).toBeGreaterThanOrEqual(geometry.triangles); // touching pieces lose the ends between them
    expect(slicings.off).toBe(segment.triangles * layout.placements.length);
    for (const by of ['rows', 'spacing', 'off'] as const) {
      const chosen = await asked(SLICING_STARTS[by]);
      const ends = slicings[by]! - chosen.geometry.triangles;
      expect(ends).toBe(slicings.auto! - geometry.triangles); // those same ends, however it is sliced
    }
  });

  it('hand over each buffer once', async () => {
    const buffers = await buffersSeen(causeway());
    expect(new Set(buffers).size).toBe(buffers.length);
    // A run of one piece as well, without taking the segment's own arrays away.
    const single = setRule(causeway(), { run: 'causeway' }, { kind: 'onePiece' });
    structuredClone(0, { transfer: await buffersSeen(single) });
    expect((await view(single)).topology.indices.length).toBeGreaterThan(0);
  });

  it('are empty before anything has grown, and whole at the end', async () => {
    expect((await view(causeway(), 0)).geometry.positions).toHaveLength(0);
    const whole = await view(causeway());
    expect((await view(causeway(), 4)).geometry.positions).toEqual(whole.geometry.positions);
  });
});
