import type { CurveSpec } from '../../core/curve/registry';
import { endOf } from '../../core/edit/end-leg';
import { distance, type Vec3 } from '../../core/math/vec3';
import { pathOf as drawn } from '../../core/testing/curves';
import { compiled, tableOf } from '../../core/testing/runs';
import { causeway, saltgrassLanding } from '../samples';
import { projectSchema, assetIdsOf, type Guide, type Project } from '../schema';
import { addGuide, changeGuide, deleteGuide } from './guides';
import {
  changeCurve,
  extendOn,
  joinPath,
  makeEndStraight,
  moveHandle,
  pastePoints,
  setPoint,
  transform,
} from './paths';
import { plugEnd } from './plugs';
import { reverse, splitPath } from './path-runs';
import { raiseStairs } from './raise-stairs';
import { setRule, setMeets, setStep } from './runs';

const PATH = 'causeway-line';
const pathOf = (project: Project, id = PATH) => project.paths.find((path) => path.id === id)!;
const curveOf = (project: Project, id = PATH) => pathOf(project, id).curve as CurveSpec;
const ids = () => {
  let next = 0;
  return () => `new-${next++}`;
};
const GUIDE: Guide = {
  id: 'g',
  name: 'Pier',
  visible: true,
  shape: { from: 'body', kind: 'post', sizes: {} },
  position: [0, 0, 0],
  turn: [0, 0, 0],
  clearance: 0,
};

describe('cutting a path', () => {
  it('gives the second part a path, and a copy of every run along it', () => {
    const project = causeway();
    const cut = splitPath(project, PATH, 3, ids())!;
    expect(cut.paths).toHaveLength(project.paths.length + 1);
    expect(cut.runs.map(({ name }) => name)).toEqual([
      'Causeway',
      'Kerb drain',
      'Causeway, part 2',
      'Kerb drain, part 2',
    ]);
    const second = cut.runs[2];
    expect(second).toMatchObject({ courses: project.runs[0].courses, reach: { from: null, to: null } });
    expect(curveOf(cut).points).toHaveLength(4);
    expect(curveOf(cut, second.path).points[0].position).toEqual(curveOf(cut).points[3].position);
    expect(projectSchema.safeParse(cut).success).toBe(true);
  });

  it('keeps every run on what it reached of it', () => {
    const reaching = (from: number | null, to: number | null) => {
      const project = setStep(causeway(), 'causeway', 'reach', { from, to });
      const cutAt = tableOf(compiled(curveOf(project)), 'upright').pointStations[3];
      const cut = splitPath(project, PATH, 3, ids())!;
      const mine = cut.runs.filter(({ name }) => name.startsWith('Causeway'));
      return mine.map(({ path, reach }) => {
        const shift = path === PATH ? 0 : cutAt;
        const at = (s: number | null) => (s === null ? null : Number((s + shift).toFixed(6)));
        return [path === PATH, at(reach.from), at(reach.to)];
      });
    };
    // Cut at some 53 m.
    expect(reaching(5, 30)).toEqual([[true, 5, 30]]);
    expect(reaching(70, 100)).toEqual([[false, 70, 100]]);
    expect(reaching(5, 100)).toEqual([[true, 5, null], [false, null, 100]]); // prettier-ignore
  });

  it('reversed leaves runs where they lie', () => {
    const project = setStep(causeway(), 'causeway', 'reach', { from: 10, to: null });
    const length = tableOf(compiled(curveOf(project)), 'upright').length;
    const reversed = reverse(project, PATH);
    expect(reversed.runs[0].reach).toMatchObject({ from: null, to: expect.closeTo(length - 10, 6) });
    expect(reverse(reversed, PATH)).toEqual(project);
  });

  it('reversed or cut, runs meet the guides that they met', () => {
    const met = setMeets(setMeets(causeway(), 'causeway', 'start', 'quay'), 'causeway', 'end', 'hut');
    expect(reverse(met, PATH).runs[0].reach.meets).toEqual({ start: 'hut', end: 'quay' });
    expect(reverse(reverse(met, PATH), PATH)).toEqual(met);
    const cut = splitPath(met, PATH, 3, ids())!;
    const own = cut.runs.filter(({ name }) => name.startsWith('Causeway'));
    expect(own.map(({ reach }) => reach.meets)).toEqual([{ start: 'quay' }, { end: 'hut' }]);
  });

  it('opens a closed one, and does nothing at an end', () => {
    const closed = changeCurve(causeway(), PATH, (curve) => ({ ...curve, closed: true }));
    const opened = splitPath(closed, PATH, 3, ids())!;
    expect(opened.paths).toHaveLength(1);
    expect(curveOf(opened)).toMatchObject({ closed: false });
    expect(splitPath(causeway(), PATH, 0, ids())).toBeUndefined();
    expect(splitPath(causeway(), 'no such path', 1, ids())).toBeUndefined();
  });

  it('is taken back by joining, and the runs of the joined path go', () => {
    const project = causeway();
    const cut = splitPath(project, PATH, 3, ids())!;
    const joined = joinPath(cut, PATH, cut.paths[1].id)!;
    expect(joined.runs.map(({ name }) => name)).toEqual(['Causeway', 'Kerb drain']);
    expect(curveOf(joined).points.map(({ position }) => position)).toEqual(curveOf(project).points.map(({ position }) => position)); // prettier-ignore
    expect(joinPath(cut, PATH, 'no such path')).toBeUndefined();
  });
});

describe('ends and points', () => {
  it('are made straight, longer and plugged in by commands that say when they cannot be', () => {
    const project = causeway();
    const level = makeEndStraight(project, PATH, 'start', 'level', 5)!;
    expect(endOf(curveOf(level), 'start')!.direction[1]).toBeCloseTo(0, 9);
    expect(makeEndStraight(project, PATH, 'start', 'level', 5000)).toBeUndefined();
    expect(curveOf(extendOn(project, PATH, 'end', 4)!).points).toHaveLength(9);
    const mouth = { position: [50, 2, 0] as Vec3, direction: [0, 1, 0] as Vec3 };
    const plugged = endOf(curveOf(plugEnd(project, PATH, 'end', mouth)!), 'end')!;
    expect(distance(plugged.position, mouth.position)).toBeLessThan(1e-9);
    const closed = changeCurve(project, PATH, (curve) => ({ ...curve, closed: true }));
    expect(plugEnd(closed, PATH, 'end', mouth)).toBeUndefined();
  });

  it('are pasted after a point with all they hold', () => {
    const points = [{ position: [1, 2, 3] as Vec3, gauge: 2 }, { position: [4, 5, 6] as Vec3 }];
    const pasted = curveOf(pastePoints(causeway(), PATH, 1, points)).points;
    expect(pasted.slice(2, 4)).toEqual(points);
    expect(curveOf(pastePoints(causeway(), PATH, -1, points)).points[0]).toEqual(points[0]);
  });

  it('are never more, nor farther away, than a file can hold', () => {
    const project = causeway();
    const many = Array.from({ length: 20_000 }, (_, i) => ({ position: [i, 0, 0] as Vec3 }));
    expect(pastePoints(project, PATH, 0, many)).toBe(project);
    expect(transform(project, PATH, [2, 3], { kind: 'scale', about: [0, 0, 0], by: [1e6, 1, 1] })).toBe(project);
    expect(projectSchema.safeParse(pastePoints(project, PATH, 0, many.slice(0, 10_000))).success).toBe(true);
  });

  it('move together and leave the others', () => {
    const moved = curveOf(transform(causeway(), PATH, [2, 3], { kind: 'move', by: [0, 1, 0] })).points;
    const before = curveOf(causeway()).points;
    expect(moved.map(({ position }, i) => position[1] - before[i].position[1])).toEqual([0, 0, 1, 1, 0, 0, 0, 0]);
  });

  it('have handles that go their own ways once they are broken', () => {
    const handles = changeCurve(causeway(), PATH, (curve) => ({ ...curve, kind: 'handles' }));
    const held = setPoint(handles, PATH, 2, { handleIn: [-1, 0, 0], handleOut: [1, 0, 0], broken: true });
    const moved = curveOf(moveHandle(held, PATH, 2, 'handleOut', [0, 0, 3])).points[2];
    expect(moved).toMatchObject({ handleIn: [-1, 0, 0], handleOut: [0, 0, 3] });
    const joined = curveOf(moveHandle(setPoint(held, PATH, 2, { broken: undefined }), PATH, 2, 'handleOut', [0, 0, 3]));
    expect(joined.points[2].handleIn![2]).toBeCloseTo(-1, 12);
  });
});

describe('guides', () => {
  it('are added, changed and taken away; who sat on one no longer names it', () => {
    const project = addGuide(causeway(), GUIDE);
    const sitting = setStep(project, 'causeway', 'shape', {
      frames: { rule: 'sitOnGuide', up: [0, 1, 0], guide: 'g' },
    });
    expect(changeGuide(sitting, 'g', { clearance: 2 }).guides[0]).toMatchObject({ name: 'Pier', clearance: 2 });
    const gone = deleteGuide(sitting, 'g');
    expect(gone.guides).toEqual([]);
    expect(gone.runs[0].shape.frames).toEqual({ rule: 'sitOnGuide', up: [0, 1, 0] });
    expect(gone.runs[1]).toBe(sitting.runs[1]);
  });

  it('are part of the file: their meshes are kept, older files have none', () => {
    const asset = 'a'.repeat(64);
    const brought = addGuide(causeway(), { ...GUIDE, shape: { from: 'asset', asset, fileName: 'pier.glb', unit: 1 } });
    expect(assetIdsOf(brought)).toEqual([asset]);
    const { guides, ...older } = causeway();
    expect(guides).toEqual([]);
    expect(projectSchema.parse(older).guides).toEqual([]);
    expect(projectSchema.safeParse(addGuide(brought, { ...GUIDE })).success).toBe(false); // the id is there twice
  });

  it('of the landing hold the ends of the signal wires', () => {
    const landing = saltgrassLanding();
    const wires = curveOf(landing, 'signal-wires-path');
    for (const [end, id] of [
      ['start', 'mast-socket'],
      ['end', 'hut-socket'],
    ] as const) {
      // prettier-ignore
      const guide = landing.guides.find((g) => g.id === id)!;
      expect(distance(endOf(wires, end)!.position, guide.position)).toBeLessThan(1e-9);
    }
  });
});

describe('raiseStairs', () => {
  const stairs = (height = 0): Project => {
    const project = causeway();
    const curve = drawn('smooth', [[0, 0, 0], [3, height, 0], [4, 0, 2]]); // prettier-ignore
    const run = project.runs[0];
    const laid = setRule(
      { ...project, paths: [{ ...project.paths[0], curve }] },
      { run: run.id },
      { kind: 'fromRise' },
    );
    return laid;
  };

  it('lets what was drawn level climb two in three, so that its steps can be laid', () => {
    const raised = raiseStairs(stairs(), 'causeway-line');
    const heights = raised.paths[0].curve.points.map(({ position }) => position[1]);
    expect(heights[0]).toBe(0);
    expect(heights[2]).toBeGreaterThan((2 / 3) * Math.hypot(4, 2));
    expect(heights[1] / heights[2]).toBeCloseTo(0.57, 1);
    expect(projectSchema.safeParse(raised).success).toBe(true);
  });

  it('leaves alone what climbs already, and paths of no stair', () => {
    const climbing = stairs(0.5);
    expect(raiseStairs(climbing, 'causeway-line')).toBe(climbing);
    const road = causeway();
    expect(raiseStairs(road, 'causeway-line')).toBe(road);
    expect(raiseStairs(road, 'none')).toBe(road);
  });
});
