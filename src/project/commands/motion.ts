import type { MotionSpec } from '../../core/motion/motion-spec';
import type { TimeSpec } from '../../core/motion/time-spec';
import type { Keyed, Project, Run } from '../schema';
import { changeRun } from './runs';

/** Changes part of how a run moves. */
export function setMotion(project: Project, id: string, change: Partial<MotionSpec>): Project {
  const run = project.runs.find((r) => r.id === id);
  return run ? changeRun(project, id, { motion: { ...run.motion, ...change } }) : project;
}

/** Changes part of the time in which the project moves. */
export const setTime = (project: Project, change: Partial<TimeSpec>): Project => ({
  ...project,
  time: { ...project.time, ...change },
});

const OTHER_END = { start: 'end', end: 'start', middle: 'middle', station: 'station' } as const;

/** What moves along a path that is run through the other way goes on as it went; `length` = the path's, metres. */
export function reversedMotions(project: Project, path: string, length: number): Project {
  const along = new Set(project.runs.flatMap((run) => (run.path === path ? [run.id] : [])));
  const runs = project.runs.map((run): Run => {
    const { after, from, station, speed, shift } = run.motion;
    const waits = after && along.has(after.run) ? { after: { ...after, station: length - after.station } } : {};
    const own = along.has(run.id)
      ? { from: OTHER_END[from], station: length - station, speed: 0 - speed, shift: 0 - shift }
      : {};
    return along.has(run.id) || waits.after ? { ...run, motion: { ...run.motion, ...own, ...waits } } : run;
  });
  const keyed = project.keyed.map((own): Keyed => {
    const [root, run, step, field] = own.of;
    const isShift = root === 'runs' && along.has(run) && step === 'motion' && field === 'shift';
    return isShift ? { ...own, keys: own.keys.map((key) => ({ ...key, value: 0 - Number(key.value) })) } : own;
  });
  return { ...project, runs, keyed };
}
