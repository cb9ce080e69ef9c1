import type { CurveSpec } from '../core/curve/registry';
import { crossingFinding } from '../core/findings/checks/passes-through';
import { pathOf } from '../core/testing/curves';
import { manifoldOf } from '../core/testing/manifold';
import { unwrap } from '../core/testing/runs';
import { setStep } from '../project/commands/runs';
import { applyRemedy } from '../project/commands/apply-remedy';
import { JOB_DEFAULTS, MADE_PREPARE, newCourse } from '../project/defaults';
import { emptyProject, type Project } from '../project/schema';
import { bakeProject, loadFrom } from './bake';
import { CrossingFinder, depthAt } from './crossings';
import { Deriver } from './derive';
import { sourceOf } from './run-source';

const RADIUS = 0.1;

/** Three turns of a radius of 1 m. */
const coil = (pitch: number): CurveSpec => ({
  kind: 'helix',
  closed: false,
  points: [{ position: [0, 0, 0] }, { position: [0, 3 * pitch, 0] }],
  numbers: { turns: 3, startRadius: 1, endRadius: 1 },
});

/** Round bars along paths. */
function bars(curves: readonly CurveSpec[]): Project {
  return {
    ...emptyProject('bars'),
    segments: [{ id: 'bar', name: 'Bar', source: { from: 'maker', spec: { kind: 'tube', length: 0.5, radius: RADIUS, sides: 48 } }, prepare: MADE_PREPARE, finishes: [] }], // prettier-ignore
    paths: curves.map((curve, i) => ({ id: `p${i}`, name: `Path ${i}`, curve })),
    runs: curves.map((_, i) => ({ id: `r${i}`, name: `Bar ${i}`, visible: true, path: `p${i}`, ...JOB_DEFAULTS, courses: [newCourse('bar')] })), // prettier-ignore
  };
}

async function crossingsOf(project: Project) {
  const deriver = new Deriver(loadFrom(new Map()));
  const runs = await Promise.all(
    project.runs.map(async (run) => ({ id: run.id, derived: unwrap(await deriver.derive(unwrap(sourceOf(project, run)))) })), // prettier-ignore
  );
  return new CrossingFinder().find(runs);
}

const across = (height: number) =>
  bars([pathOf('straight', [[-5, 0, 0], [5, 0, 0]]), pathOf('straight', [[0, height, -5], [0, height, 5]])]); // prettier-ignore

describe('runs that cross', () => {
  // Two round bars square to each other reach into each other by the sum of their radii less the distance of their axes (elementary geometry).
  it.each([0.05, 0.15, 0.19])('%d m apart reach into each other by what their radii leave', async (height) => {
    const found = await crossingsOf(across(height));
    expect([...found.keys()]).toEqual(['r1']);
    const [crossing, ...more] = found.get('r1')!;
    expect(more).toEqual([]);
    expect(crossing.run).toBe('r0');
    expect(crossing.depth).toBeCloseTo(2 * RADIUS - height, 2);
    expect(crossing.station).toBeCloseTo(5, 0);
    expect(crossing.other).toBeCloseTo(5, 0);
  });

  // manifold-3d (Apache-2.0, an independent kernel of solids) measures the least distance of two meshes.
  it.each([0.25, 0.5])('%d m apart are as clear of each other as manifold-3d finds their meshes', async (height) => {
    const project = across(height);
    const deriver = new Deriver(loadFrom(new Map()));
    const [a, b] = await Promise.all(project.runs.map(async (run) => unwrap(await deriver.derive(unwrap(sourceOf(project, run)))).courses[0])); // prettier-ignore
    const solids = await Promise.all(unwrap(await bakeProject(project, deriver, {})).scene.map(({ mesh }) => manifoldOf(mesh))); // prettier-ignore
    const gap = solids[0].minGap(solids[1], 2);
    expect(-depthAt(a, 5, b, 5).depth).toBeCloseTo(gap, 3);
  });

  it('that only pass are not told of', async () => {
    expect((await crossingsOf(across(0.21))).size).toBe(0);
    expect((await crossingsOf(across(5))).size).toBe(0);
  });

  it('are clear of each other after one of them is moved aside, its path is, or both are made thinner', async () => {
    const project = across(0.15);
    const finding = crossingFinding((await crossingsOf(project)).get('r1')![0]);
    const moved = applyRemedy(project, 'r1', finding.remedy!)!;
    expect(moved.runs[1].shape.lanes?.offsetUp?.keys).toHaveLength(3);
    expect((await crossingsOf(moved)).size).toBe(0);
    const elsewhere = applyRemedy(
      project,
      'r1',
      finding.others!.find(({ kind }) => kind === 'movePath')!,
    )!;
    expect(elsewhere.runs).toEqual(project.runs); // the path has moved, not the run on it
    expect(elsewhere.paths[1]).not.toEqual(project.paths[1]);
    expect((await crossingsOf(elsewhere)).size).toBe(0);
    const thinner = applyRemedy(
      project,
      'r1',
      finding.others!.find((own) => own.kind === 'setGauge' && !own.which)!,
    )!;
    expect((await crossingsOf(thinner)).size).toBe(0);
  });
});

describe('a run that comes back', () => {
  // A coil whose pitch is less than its wire is thick lies in itself, by the thickness less the pitch (square to the wire, a little less).
  it('passes through itself where a coil is wound too closely, and not where it is wide enough', async () => {
    const close = (await crossingsOf(bars([coil(0.15)]))).get('r0')!;
    expect(close.length).toBeGreaterThan(0);
    const slope = Math.atan2(0.15, 2 * Math.PI);
    for (const { depth, run } of close) {
      expect(run).toBeUndefined();
      expect(depth).toBeLessThan(2 * RADIUS - 0.15 * Math.cos(slope) + 0.01);
    }
    expect(Math.max(...close.map(({ depth }) => depth))).toBeCloseTo(2 * RADIUS - 0.15 * Math.cos(slope), 2);
    expect((await crossingsOf(bars([coil(0.25)]))).size).toBe(0);
  });

  it('is as clear of itself, turn to turn, as manifold-3d finds the meshes of its turns', async () => {
    const turn = Math.hypot(2 * Math.PI, 0.3);
    const project = bars([coil(0.3), coil(0.3)]);
    const parted = [0, 1].reduce((made, i) => setStep(made, `r${i}`, 'reach', { from: 2 * i * turn, to: (2 * i + 1) * turn }), project); // prettier-ignore
    const deriver = new Deriver(loadFrom(new Map()));
    const [a, b] = await Promise.all(parted.runs.map(async (run) => unwrap(await deriver.derive(unwrap(sourceOf(parted, run)))).courses[0])); // prettier-ignore
    const solids = await Promise.all(unwrap(await bakeProject(parted, deriver, {})).scene.map(({ mesh }) => manifoldOf(mesh))); // prettier-ignore
    // Straight up from turn to turn; square to the wire it is nearer by the cosine of its slope.
    const gap = solids[0].minGap(solids[1], 0.15);
    const slope = Math.atan2(0.3, 2 * Math.PI);
    expect(-depthAt(a, turn, b, 2 * turn).depth).toBeCloseTo((gap + 2 * RADIUS) / Math.cos(slope) - 2 * RADIUS, 2);
  });

  it('of few numbers offers no path to move: its bends are opened instead', async () => {
    const finding = crossingFinding((await crossingsOf(bars([coil(0.15)]))).get('r0')![0]);
    expect(finding.others!.map(({ kind }) => kind)).not.toContain('movePath');
  });

  it('is not told of where it only bends tightly', async () => {
    const bend = pathOf('smooth', [[0, 0, 0], [2, 0, 0], [2.3, 0, 0.3], [2, 0, 2]]); // prettier-ignore
    expect((await crossingsOf(bars([bend]))).size).toBe(0);
  });
});
