import { changeKind } from '../../core/edit/change-kind';
import type { CurveKindName } from '../../core/curve/registry';
import { causeway } from '../samples';
import { courseOf, type Project, type Run } from '../schema';
import { applyRemedy } from './apply-remedy';
import { reverse } from './path-runs';
import { changeCurve, deletePoints, extend, insertPoint, moveHandle, movePoint, setClosed } from './paths';
import { setRule, changeRun, deleteRun, setStep } from './runs';
import { pitchGap } from '../../core/segment/registry';
import { COURSE_DEFAULTS, newCourse, FINISH_DEFAULTS, MADE_PREPARE, makerDefaults } from '../defaults';
import { clearFinish, setFinish, setMaker, setPrepare } from './segments';

const setCurveKind = (project: Project, id: string, kind: CurveKindName) =>
  changeCurve(project, id, (curve) => changeKind(curve, kind));

const PATH = 'causeway-line';
const points = (project: Project) => project.paths[0].curve.points;

describe('commands', () => {
  it('never change the project that they are given', () => {
    const project = causeway();
    const before = structuredClone(project);
    movePoint(project, PATH, 2, [1, 2, 3]);
    insertPoint(project, PATH, 30);
    deletePoints(project, PATH, [0]);
    reverse(project, PATH);
    setStep(project, 'causeway', 'shape', { gauge: 2 });
    setRule(project, { run: 'causeway' }, { kind: 'fillGaps' });
    deleteRun(project, 'causeway');
    setPrepare(project, 'kerb-drain', { unit: 2 });
    expect(project).toEqual(before);
  });

  it('leave everything alone that they do not concern', () => {
    const project = causeway();
    const moved = movePoint(project, PATH, 2, [1, 2, 3]);
    expect(points(moved)[2].position).toEqual([1, 2, 3]);
    expect(moved.segments).toBe(project.segments);
    expect(points(moved)[3]).toBe(points(project)[3]);
    expect(movePoint(project, 'no such path', 2, [1, 2, 3])).toBe(project);
  });

  it('insert on the leg of the station and say which point it became', () => {
    const { project, point } = insertPoint(causeway(), PATH, 30);
    expect(point).toBe(2);
    expect(points(project)).toHaveLength(9);
  });

  it('extend at either end, close and change the kind', () => {
    const project = setClosed(setCurveKind(extend(causeway(), PATH, 'start', [9, 9, 9]), PATH, 'straight'), PATH, true);
    expect(points(project)[0].position).toEqual([9, 9, 9]);
    expect(project.paths[0].curve).toMatchObject({ kind: 'straight', closed: true });
    expect(points(project)[3].radius).toBeGreaterThan(0);
  });

  it('turn the other handle along and keep its length', () => {
    const project = moveHandle(setCurveKind(causeway(), PATH, 'handles'), PATH, 3, 'handleOut', [0, 0, 2]);
    const { handleIn, handleOut } = points(project)[3];
    const before = points(setCurveKind(causeway(), PATH, 'handles'))[3].handleIn!;
    expect(handleOut).toEqual([0, 0, 2]);
    expect(handleIn![2]).toBeCloseTo(-Math.hypot(...before), 12);
  });

  it('take the segment and path of the last run that used them away with it', () => {
    const once = deleteRun(causeway(), 'causeway');
    expect(once.segments.map(({ id }) => id)).toEqual(['kerb-drain']);
    expect(once.paths).toHaveLength(1);
    expect(deleteRun(once, 'kerb-drain-run')).toMatchObject({ segments: [], paths: [], runs: [] });
  });

  it('rename a made segment with its maker, but not one that was named', () => {
    const plank = { kind: 'plank' as const, length: 2, width: 1, thickness: 0.1 };
    expect(setMaker(causeway(), 'kerbed-road', plank).segments[0].name).toBe('Plank');
    const named = { ...causeway(), segments: causeway().segments.map((s) => ({ ...s, name: 'Mine' })) };
    expect(setMaker(named, 'kerbed-road', plank).segments[0].name).toBe('Mine');
  });
});

describe('applyRemedy', () => {
  it('carries out every kind of remedy', () => {
    const project = changeRun(causeway(), 'causeway', { visible: true });
    const run = (p: Project | undefined) => p!.runs[0];
    expect(
      courseOf(run(applyRemedy(project, 'causeway', { kind: 'setLayingRule', rule: 'fillGaps' }))).laying.rule,
    ).toEqual({ kind: 'fillGaps', gap: 0 });
    expect(run(applyRemedy(project, 'causeway', { kind: 'sliceAsNeeded' })).bending.slicing).toEqual({ by: 'auto' });
    expect(run(applyRemedy(project, 'causeway', { kind: 'setFrameRule', rule: 'leastTwist' })).shape.frames.rule).toBe(
      'leastTwist',
    );
    expect(
      applyRemedy(project, 'causeway', { kind: 'prepare', change: { centre: 'middle' } })!.segments[0].prepare.centre,
    ).toBe('middle');
    expect(points(applyRemedy(project, 'causeway', { kind: 'setPointRadius', point: 1, radius: 3 })!)[1].radius).toBe(
      3,
    );
    const opened = applyRemedy(project, 'causeway', { kind: 'roundBend', station: 94, radius: 7 })!;
    expect(points(opened)[0]).toEqual(points(project)[0]);
    expect(points(opened)[5]).not.toEqual(points(project)[5]);
  });

  it('leaves the project alone when a bend cannot be opened that far', () => {
    expect(applyRemedy(causeway(), 'causeway', { kind: 'roundBend', station: 94, radius: 5000 })).toBeUndefined();
  });
});

describe('finishes', () => {
  const board = { part: 'Board', ...FINISH_DEFAULTS };
  it('set twice leave one, beside those of other parts, and go when they are cleared', () => {
    const id = causeway().segments[0].id;
    let project = setFinish(causeway(), id, board);
    project = setFinish(project, id, { ...board, part: 'Kerbs' });
    project = setFinish(project, id, { ...board, colour: '#112233' });
    const finishes = () => project.segments[0].finishes;
    expect(finishes().filter(({ part }) => part === 'Board')).toEqual([{ ...board, colour: '#112233' }]);
    expect(finishes().filter(({ part }) => part === 'Kerbs')).toHaveLength(1);
    project = clearFinish(project, id, 'Board');
    expect(finishes().map(({ part }) => part)).not.toContain('Board');
  });

  it('of a link: another bar carries the gap of its runs along, but not one that was set by hand', () => {
    const link = makerDefaults('chainLink') as { bar: number };
    const segment = { id: 'link', name: 'Link', source: { from: 'maker' as const, spec: link as never }, prepare: MADE_PREPARE, finishes: [] }; // prettier-ignore
    const [first] = causeway().runs;
    const hung = (id: string, gap: number): Run => ({ ...first, id, courses: [newCourse('link', { laying: { ...COURSE_DEFAULTS.laying, rule: { kind: 'fillStretch', gap } } })] }); // prettier-ignore
    const gap = pitchGap(link as never)!;
    const before = {
      ...causeway(),
      segments: [...causeway().segments, segment],
      runs: [hung('a', gap), hung('b', 0.5)],
    };
    const thicker = { ...link, bar: link.bar * 1.5 } as never;
    const { runs } = setMaker(before, 'link', thicker);
    const gapOf = (run: Run) => (courseOf(run).laying.rule as { gap: number }).gap;
    expect(gapOf(runs[0])).toBeCloseTo(-2 * link.bar * 1.5, 6);
    expect(gapOf(runs[1])).toBe(0.5);
  });
});
