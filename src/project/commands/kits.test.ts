import { mapParts } from '../../core/layout/course-parts';
import { unwrap } from '../../core/testing/runs';
import { openProject } from '../project-file';
import { saltgrassLanding } from '../samples';
import type { Project } from '../schema';
import { kitAsRun, kitProject, layKit, letGoOfKit, renewFromKit, runsOfKit, type Kit } from './kits';
import { setKey } from './keys';
import { changeRun, deleteRun, setStep } from './runs';

const landing = saltgrassLanding();
const kitFrom = (project: Project, run: string, id = 'kit1'): Kit => ({ id, project: kitProject(project, run)!, changedAt: 1000 }); // prettier-ignore
const rope = kitFrom(landing, 'mooring-line-run');
const lay = (project: Project, kit: Kit, run: string, isLinked = true, path = 'causeway-line') =>
  layKit(project, kit, { run, path, isLinked });
const runOf = (project: Project, id: string) => project.runs.find((run) => run.id === id)!;
/** Any project that comes of it can be stored and opened again. */
const valid = (project: Project) => unwrap(openProject(JSON.parse(JSON.stringify(project))));

describe('a kit', () => {
  it.each(landing.runs.map(({ id, name }) => [name, id]))('of %s is a project of its own that names nothing else', (name, id) => {
    const kit = kitProject(landing, id)!;
    expect(valid(kit)).toEqual(JSON.parse(JSON.stringify(kit)));
    const [run, ...others] = kit.runs;
    expect([run.name, others, kit.guides]).toEqual([name, [], []]);
    expect([run.reach, run.motion.after, run.shape.frames.guide]).toEqual([{ from: null, to: null }, null, undefined]);
    // What each course is laid of is the same but for the ids.
    const laidOf = (project: Project, own: string) =>
      runOf(project, own).courses.map((course) => ({
        ...course,
        ...mapParts(course, (segment) => ({ ...project.segments.find((s) => s.id === segment), id: '' })),
      }));
    expect(laidOf(kit, 'run')).toEqual(laidOf(landing, id));
  }); // prettier-ignore

  it('is laid along any path: its segments, shape and courses with it, under a name of its own', () => {
    const laid = lay(lay(landing, rope, 'a'), rope, 'b');
    const [a, b] = [runOf(laid, 'a'), runOf(laid, 'b')];
    expect([a.path, a.name, b.name]).toEqual(['causeway-line', 'Mooring line 2', 'Mooring line 3']);
    expect(a.shape).toEqual(runOf(landing, 'mooring-line-run').shape);
    expect(a.courses[0].segment).toBe(b.courses[0].segment); // shared
    expect(laid.segments.length).toBe(landing.segments.length + 1);
    expect(valid(laid)).toBeDefined();
  });

  it('is laid as a copy with segments of its own, which follows nothing', () => {
    const laid = lay(lay(landing, rope, 'a', false), rope, 'b', false);
    expect(runOf(laid, 'a').courses[0].segment).not.toBe(runOf(laid, 'b').courses[0].segment);
    expect(runsOfKit(laid, 'kit1')).toEqual([]);
  });

  it('changes all runs that follow it, and no others: their names, paths and reaches stay', () => {
    const laid = setStep(lay(lay(landing, rope, 'a'), rope, 'b', false), 'a', 'reach', { from: 3, to: 9 });
    const stout = changeRun(rope.project, rope.project.runs[0].id, { shape: { ...rope.project.runs[0].shape, gauge: 3 } }); // prettier-ignore
    const renewed = renewFromKit(changeRun(laid, 'a', { name: 'Spring line' }), { ...rope, project: stout, changedAt: 2000 }); // prettier-ignore
    const a = runOf(renewed, 'a');
    expect([a.name, a.path, a.shape.gauge, a.reach.to, a.kit?.at]).toEqual([
      'Spring line',
      'causeway-line',
      3,
      9,
      2000,
    ]);
    expect(runOf(renewed, 'b').shape.gauge).toBe(1);
    expect(valid(renewed)).toBeDefined();
  });

  it('takes what has been changed of a run that follows it', () => {
    const laid = lay(landing, rope, 'a');
    const changed = setStep(laid, 'a', 'shape', { turns: 5 });
    const next = kitAsRun(changed, 'a', rope, 3000)!;
    expect([next.id, next.project.runs[0].shape.turns, next.project.runs[0].name]).toEqual(['kit1', 5, 'Mooring line']);
    expect(next.project.segments.map(({ id }) => id)).toEqual(rope.project.segments.map(({ id }) => id));
    expect(valid(next.project)).toBeDefined();
    // As often as it is kept anew its ids stay short, and nothing else is another.
    const again = kitAsRun(renewFromKit(changed, next), 'a', next, 3000)!;
    expect(again.project).toEqual(next.project);
  });

  it('brings its keys along, for each run their own', () => {
    const keyed = setKey(landing, ['runs', 'mooring-line-run', 'shape', 'roll'], 0, 0.5);
    const kit = kitFrom(keyed, 'mooring-line-run');
    const laid = lay(lay(keyed, kit, 'a'), kit, 'b');
    for (const run of ['a', 'b']) {
      const own = laid.keyed.find(({ of }) => of[1] === run)!;
      expect([own.of[3], own.keys.map(({ value }) => value)]).toEqual(['roll', [0.5]]);
    }
    expect(valid(renewFromKit(laid, kit))).toBeDefined();
    expect(renewFromKit(laid, kit).keyed.length).toBe(laid.keyed.length);
  });

  it('is let go of, and may be gone: runs stay as they are', () => {
    const laid = letGoOfKit(lay(landing, rope, 'a'), 'a');
    expect(runsOfKit(laid, 'kit1')).toEqual([]);
    expect(renewFromKit(laid, { ...rope, changedAt: 9 }).runs).toEqual(laid.runs);
    expect(deleteRun(laid, 'a').segments.length).toBe(landing.segments.length);
    expect(kitProject(landing, 'nobody')).toBeUndefined();
  });
});
