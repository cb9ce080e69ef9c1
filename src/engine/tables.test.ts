import { buildRunMesh } from '../core/bending/build-run';
import { boxOf } from '../core/mesh/box';
import { pathOf } from '../core/testing/curves';
import { unwrap } from '../core/testing/runs';
import type { RuleSpec } from '../core/layout/registry';
import { setCourse, setRule } from '../project/commands/runs';
import { saltgrassLanding } from '../project/samples';
import { JOB_DEFAULTS } from '../project/defaults';
import { courseOf, emptyProject, type Course, type Project } from '../project/schema';
import { courseOfSet, madeSegment } from '../project/sets/run-set';
import { loadFrom } from './bake';
import { choicesOf } from './choices';
import { closingOfCourse } from './closing';
import { Deriver, planCourse } from './derive';
import { partsList } from './parts-list';
import { pieceTable } from './piece-table';
import { sourceOf } from './run-source';

const deriver = () => new Deriver(loadFrom(new Map()));

/** Planks of 0.5 m, 0.4 m wide and 0.1 m thick, along a path. */
function planks(curve: Project['paths'][number]['curve'], said: Partial<Course> = {}): Project {
  const board = { length: 0.5, width: 0.4, thickness: 0.1 };
  const segment = madeSegment('plank', 'plank', board, { name: 'Board', prepare: { centre: 'middle' } });
  const course = { ...courseOfSet('boards', 'plank', { kind: 'fillStretch', gap: 0 }), name: 'Boards', ...said };
  const run = { id: 'r', name: 'Deck', visible: true, path: 'p', ...JOB_DEFAULTS, courses: [course] };
  return {
    ...emptyProject('Deck'),
    segments: [segment],
    paths: [{ id: 'p', name: 'P', curve }],
    runs: [run],
  };
}

const RING = { kind: 'arc', closed: true, points: [[2, 0, 0], [0, 0, 2], [-2, 0, 0]] } as const; // prettier-ignore
const ring = pathOf(RING.kind, RING.points, RING.closed);
const LINE = pathOf('straight', [[0, 0, 0], [10, 0, 0]]); // prettier-ignore
const derivedOf = async (project: Project) =>
  unwrap(await deriver().derive(unwrap(sourceOf(project, project.runs[0]))));

describe('the table of pieces', () => {
  it('has the inner and outer stretch of a ring of 2 m: half a width to either side, over the radius', async () => {
    const { courses, table } = await derivedOf(planks(ring));
    expect(table.length).toBeCloseTo(4 * Math.PI, 6);
    const rows = pieceTable(courses[0]);
    expect(rows).toHaveLength(25);
    const stretch = (4 * Math.PI) / 25 / 0.5;
    rows.forEach((row, i) => {
      expect(row.station).toBeCloseTo((i * 4 * Math.PI) / 25, 6);
      expect(row.stretch).toBeCloseTo(stretch - 1, 6);
      // Elementary: an arc at r - w/2 and at r + w/2.
      expect(row.inner).toBeCloseTo(stretch * (1 - 0.2 / 2) - 1, 4);
      expect(row.outer).toBeCloseTo(stretch * (1 + 0.2 / 2) - 1, 4);
      expect([row.natural, row.gap]).toEqual([expect.closeTo(0.5, 6), expect.closeTo(0, 9)]);
    });
  });

  it('lists what the parts are: how many, how long together, of what', async () => {
    const project = planks(LINE);
    const hidden = { ...project.runs[0], id: 'hidden', visible: false };
    const parts = unwrap(await partsList(deriver(), { ...project, runs: [...project.runs, hidden] }));
    expect(parts).toHaveLength(1);
    expect(parts[0]).toMatchObject({ run: 'Deck', course: 'Boards', segment: 'Board', count: 20 });
    expect(parts[0].length).toBeCloseTo(10, 9);
    const { courses } = await derivedOf(project);
    const mesh = buildRunMesh(planCourse(await derivedOf(project), courses[0], null), courses[0].pieces);
    expect(parts[0].triangles).toBe(mesh.indices.length / 3);
  });

  it('lists every course of the landing, with as many pieces as are laid', async () => {
    const landing = saltgrassLanding();
    const parts = unwrap(await partsList(deriver(), landing));
    const stair = landing.runs.find(({ name }) => name === 'Beacon stair')!;
    const own = parts.filter(({ run }) => run === 'Beacon stair');
    expect(new Set(own.map(({ course }) => course)).size).toBe(stair.courses.length);
    expect(own.filter(({ segment }) => segment === 'Rail cap').map(({ count }) => count)).toEqual([2]);
    for (const { count, length, triangles } of parts) expect(Math.min(count, length, triangles)).toBeGreaterThan(0);
  });
});

describe('what rules come to', () => {
  it('is what they come to when they are chosen', async () => {
    const project = planks(pathOf('smooth', [[0, 0, 0], [4, 0.6, 1], [7, 1, 4]])); // prettier-ignore
    const derived = await derivedOf(project);
    const { rules } = choicesOf(derived, derived.courses[0]);
    expect(Object.keys(rules).length).toBeGreaterThan(7);
    for (const [kind, told] of Object.entries(rules)) {
      const chosen = setRule(project, { run: 'r' }, { kind } as Pick<RuleSpec, 'kind'>);
      const { summary } = (await derivedOf(chosen)).courses[0];
      if (kind === 'fillStretch') expect(summary).toEqual(told);
      // What two rules both ask for is taken along; the number of pieces follows from the rest.
      expect(summary.natural).toBeCloseTo(told.natural, 9);
    }
    expect(rules.onePiece!.count).toBe(1);
  });

  it('says of a loop of links how many close it, and of anything else that it is none', async () => {
    const landing = saltgrassLanding();
    const run = landing.runs.find(({ name }) => name === 'Bucket chain')!;
    const source = unwrap(sourceOf(landing, run));
    const { links, slack, moved } = unwrap(await closingOfCourse(deriver(), source, run.courses[0].id));
    const { courses } = unwrap(await deriver().derive(source));
    expect(links).toBe(courses[0].laid.layout.placements.length);
    expect(slack).toBeLessThan(0.6);
    expect(moved.length).toBeGreaterThan(1);
    const deck = planks(LINE);
    const none = await closingOfCourse(deriver(), unwrap(sourceOf(deck, deck.runs[0])), 'boards');
    expect(none).toMatchObject({ ok: false, problems: [{ code: 'laying.no-loop' }] });
  });
});

describe('aligned', () => {
  const sides = [
    { side: 'left', z: [0, 0.4] },
    { side: 'middle', z: [-0.2, 0.2] },
    { side: 'right', z: [-0.4, 0] },
  ] as const;
  const heights = [
    { height: 'bottom', y: [0, 0.1] },
    { height: 'middle', y: [-0.05, 0.05] },
    { height: 'top', y: [-0.1, 0] },
  ] as const;
  const cases = sides.flatMap((a) => heights.map((b) => ({ ...a, ...b })));
  it.each(cases)(
    'by its $side and $height a board lies from $z across and from $y up',
    async ({ side, height, z, y }) => {
      for (const mirrored of [false, true]) {
        const at = { run: 'r' };
        const project = setCourse(planks(LINE), at, { align: { side, height }, mirrored, side: 0.3, height: 0.7 });
        const derived = await derivedOf(project);
        const [course] = derived.courses;
        expect(courseOf(project.runs[0], undefined).align.side).toBe(side);
        const { min, max } = boxOf(buildRunMesh(planCourse(derived, course, null), course.pieces).positions);
        [min[2] - 0.3, max[2] - 0.3].forEach((v, i) => expect(v).toBeCloseTo(z[i], 6));
        [min[1] - 0.7, max[1] - 0.7].forEach((v, i) => expect(v).toBeCloseTo(y[i], 6));
      }
    },
  );
});
