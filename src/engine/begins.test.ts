import { unwrap } from '../core/testing/runs';
import { setMotion, setTime } from '../project/commands/motion';
import { mayWaitFor } from '../project/commands/waits';
import { joinPath } from '../project/commands/paths';
import { reverse } from '../project/commands/path-runs';
import { deleteRun, ownPath } from '../project/commands/runs';
import { causeway } from '../project/samples';
import { projectSchema, type Project } from '../project/schema';
import { loadFrom } from './bake';
import { Deriver, planCourse } from './derive';
import { isSameSource, sourceOf } from './run-source';

const DRAIN = 'kerb-drain-run';
const deriver = new Deriver(loadFrom(new Map()));
const sourceIn = (project: Project, id: string) =>
  unwrap(
    sourceOf(
      project,
      project.runs.find((run) => run.id === id)!,
    ),
  );
const beginsIn = async (project: Project, id: string) => unwrap(await deriver.derive(sourceIn(project, id))).begins;

/** The drain waits until the causeway has come to a station. */
const waiting = (station: number, begins = 0) =>
  setMotion(causeway(), DRAIN, { after: { run: 'causeway', station }, begins });

describe('a run that waits for another one', () => {
  it('begins when that has grown to a station, and later by what it waits itself', async () => {
    const { table } = unwrap(await deriver.derive(sourceIn(causeway(), 'causeway')));
    expect(await beginsIn(causeway(), DRAIN)).toBe(0);
    // Drawn out in four seconds.
    expect(await beginsIn(waiting(table.length / 4), DRAIN)).toBeCloseTo(1, 9);
    expect(await beginsIn(waiting(table.length, 0.5), DRAIN)).toBeCloseTo(4.5, 9);
  });

  it('is not there before, and grows from then on', async () => {
    const project = setMotion(waiting(1e6), 'causeway', { growth: { kind: 'stretchOut', seconds: 2 } });
    const derived = unwrap(await deriver.derive(sourceIn(project, DRAIN)));
    const piecesAt = (time: number) => planCourse(derived, derived.courses[0], time).pieces;
    expect(piecesAt(1.99)).toEqual([]);
    expect(piecesAt(4)[0].place.scale).toBeCloseTo(0.5, 9);
    expect(piecesAt(6)[0].place.scale).toBe(1);
  });

  it('waits along a chain of runs, and once round for those that wait for each other', async () => {
    const chain = setMotion(waiting(1e6), 'causeway', { begins: 3 });
    expect(await beginsIn(chain, DRAIN)).toBeCloseTo(7, 9);
    const circle = setMotion(waiting(1e6), 'causeway', { after: { run: DRAIN, station: 1e6 } });
    expect(await beginsIn(circle, DRAIN)).toBeCloseTo(4, 9);
    expect(mayWaitFor(causeway(), 'causeway').map(({ id }) => id)).toEqual([DRAIN]);
    expect(mayWaitFor(waiting(1), 'causeway')).toEqual([]);
  });

  it('is another source when what it waits for moves otherwise', () => {
    const [a, b] = [waiting(5), setMotion(waiting(5), 'causeway', { begins: 1 })];
    expect(isSameSource(sourceIn(a, DRAIN), sourceIn(a, DRAIN))).toBe(true);
    expect(isSameSource(sourceIn(a, DRAIN), sourceIn({ ...a, runs: b.runs }, DRAIN))).toBe(false);
  });

  it('waits for nothing when that is deleted; a run that is not there is told of', () => {
    const project = deleteRun(waiting(5), 'causeway');
    expect(project.runs[0].motion.after).toBeNull();
    expect(projectSchema.safeParse(project).success).toBe(true);
    const wrong = setMotion(causeway(), DRAIN, { after: { run: 'nobody', station: 0 } });
    expect(projectSchema.safeParse(wrong).error?.issues[0]).toMatchObject({
      path: ['runs', 1, 'motion', 'after', 'run'],
      message: 'there is no run with the id nobody',
    });
  });

  it('plays in the project’s time', () => {
    const project = setTime(causeway(), { seconds: 9, loops: true });
    expect(project.time).toMatchObject({ seconds: 9, framesPerSecond: 24, loops: true });
    expect(projectSchema.safeParse(setTime(project, { framesPerSecond: 0 })).success).toBe(false);
  });

  it('waits for nothing when that goes into another path', () => {
    const project = setMotion(twoPaths(), DRAIN, { after: { run: 'causeway', station: 5 } });
    const joined = joinPath(project, 'own', 'causeway-line')!;
    expect(joined.runs.map(({ id }) => id)).toEqual([DRAIN]);
    expect(joined.runs[0].motion.after).toBeNull();
    expect(projectSchema.safeParse(joined).success).toBe(true);
  });
});

/** The drain along a path of its own. */
const twoPaths = () => ownPath(causeway(), DRAIN, 'own');

describe('what moves along a path that is turned round', () => {
  it('goes on as it went: from the same place, the same way, when the same place is reached', async () => {
    const moving = setMotion(twoPaths(), 'causeway', { from: 'station', station: 30, speed: 0.5 });
    const project = setMotion(moving, DRAIN, { after: { run: 'causeway', station: 100 } });
    const turned = reverse(project, 'causeway-line');
    const { table } = unwrap(await deriver.derive(sourceIn(project, 'causeway')));
    expect(turned.runs[0].motion).toMatchObject({ from: 'station', speed: -0.5 });
    expect(turned.runs[0].motion.station).toBeCloseTo(table.length - 30, 6);
    expect(turned.runs[1].motion.after!.station).toBeCloseTo(table.length - 100, 6);
    expect(await beginsIn(turned, DRAIN)).toBeCloseTo(await beginsIn(project, DRAIN), 6);
    const ended = reverse(setMotion(project, 'causeway', { from: 'end', speed: 0 }), 'causeway-line');
    expect(ended.runs[0].motion).toMatchObject({ from: 'start', speed: 0 });
  });
});
