import type { LayingSpec } from '../../core/layout/laying-spec';
import { layingRule, type RuleSpec } from '../../core/layout/registry';
import type { RunSteps } from '../../core/motion/run-spec';
import { keysOf, withKeysOf } from './keys';
import { withoutLostWaits } from './waits';
import { courseOf, laysSegment, type Course, type Path, type Project, type Run } from '../schema';
import { untaken } from '../untaken';

export const addRun = (project: Project, run: Run): Project => ({ ...project, runs: [...project.runs, run] });

export const changeRun = (project: Project, id: string, change: Partial<Run>): Project => ({
  ...project,
  runs: project.runs.map((run) => (run.id === id ? { ...run, ...change } : run)),
});

/** Changes part of one step of a run's job. */
export function setStep<K extends Exclude<keyof RunSteps, 'motion'>>(
  project: Project,
  id: string,
  step: K,
  change: Partial<RunSteps[K]>,
): Project {
  const run = project.runs.find((r) => r.id === id);
  return run ? changeRun(project, id, { [step]: { ...run[step], ...change } }) : project;
}

/** Less than this share of a path from its end is at the end. */
const AT_END = 1e-6;

/** Where a run's reach begins or ends, metres along a path so long; at the path's own end it goes with that, unless it has keys. */
export function setReach(project: Project, id: string, end: 'from' | 'to', station: number, length: number): Project {
  const isAtEnd = end === 'from' ? station <= length * AT_END : station >= length * (1 - AT_END);
  const isFree = keysOf(project, ['runs', id, 'reach', end]).length === 0;
  return setStep(project, id, 'reach', { [end]: isAtEnd && isFree ? null : Math.max(station, 0) });
}

/** Lets an end of a run meet a guide's surface, or none. */
export function setMeets(project: Project, id: string, end: 'start' | 'end', guide: string | undefined): Project {
  const run = project.runs.find((r) => r.id === id);
  const now = run?.reach.meets;
  const start = end === 'start' ? guide : now?.start;
  const last = end === 'end' ? guide : now?.end;
  const meets = { ...(start !== undefined && { start }), ...(last !== undefined && { end: last }) };
  return setStep(project, id, 'reach', { meets: start === undefined && last === undefined ? undefined : meets });
}

/** A run and a course of it, by their ids; without the course's its first. */
export interface CourseAt {
  readonly run: string;
  readonly course?: string | undefined;
}

/** Changes a course of a run; one that is locked stays as it is, but for its lock and whether it is shown. */
export function setCourse(project: Project, { run: id, course: wanted }: CourseAt, change: Partial<Course>): Project {
  const run = project.runs.find((r) => r.id === id);
  if (!run) return project;
  const own = courseOf(run, wanted);
  const isFree = !own.locked || Object.keys(change).every((key) => key === 'locked' || key === 'visible');
  if (!isFree) return project;
  return changeRun(project, id, {
    courses: run.courses.map((course) => (course === own ? { ...course, ...change } : course)),
  });
}

/** Changes part of how a course is laid. */
export function setLaying(project: Project, at: CourseAt, change: Partial<LayingSpec>): Project {
  const run = project.runs.find((r) => r.id === at.run);
  return run ? setCourse(project, at, { laying: { ...courseOf(run, at.course).laying, ...change } }) : project;
}

/** Lays a course by a rule as it begins, or with its options as they are. */
export const setRule = (project: Project, at: CourseAt, rule: Pick<RuleSpec, 'kind'> | RuleSpec): Project =>
  setLaying(project, at, { rule: { ...layingRule(rule).defaults, ...rule } as RuleSpec });

/** Takes a run away, and the segment and path that no other run uses. */
export function deleteRun(project: Project, id: string): Project {
  const runs = project.runs.filter((run) => run.id !== id);
  return withoutLostWaits({
    ...project,
    runs,
    segments: project.segments.filter((s) => runs.some((run) => laysSegment(run, s.id))),
    paths: project.paths.filter((p) => runs.some((run) => run.path === p.id)),
  });
}

/** A name of its own: `name`, or with the next free number behind it. */
export const freeName = ({ runs }: Project, name: string): string =>
  untaken(
    name,
    runs.map((run) => run.name),
  );

/** A run like another one, right behind it: along the same path, or along `path`, a new one. The segment is shared. */
export function addAlike(project: Project, id: string, newRun: string, path?: Path): Project {
  const at = project.runs.findIndex((run) => run.id === id);
  if (at < 0) return project;
  const like = project.runs[at];
  const reach = path ? { from: null, to: null } : like.reach;
  const run: Run = { ...like, id: newRun, name: freeName(project, like.name), path: path?.id ?? like.path, reach };
  const made = {
    ...project,
    paths: path ? [...project.paths, path] : project.paths,
    runs: [...project.runs.slice(0, at + 1), run, ...project.runs.slice(at + 1)],
  };
  return withKeysOf(made, 'runs', id, newRun);
}

/** Leads a run along another path of the project; a path that nothing follows any more goes. */
export function choosePath(project: Project, id: string, path: string): Project {
  const changed = changeRun(project, id, { path });
  return {
    ...changed,
    paths: changed.paths.filter((p) => p.id === path || changed.runs.some((run) => run.path === p.id)),
  };
}

/** Gives a run a copy of the path that it shares. */
export function ownPath(project: Project, id: string, newPath: string): Project {
  const run = project.runs.find((r) => r.id === id);
  const path = run && project.paths.find((p) => p.id === run.path);
  if (!path) return project;
  const copy = { ...path, id: newPath, name: `${run.name.slice(0, 190)} path` };
  const copied = withKeysOf({ ...project, paths: [...project.paths, copy] }, 'paths', path.id, newPath);
  return changeRun(copied, id, { path: newPath });
}

export const renameProject = (project: Project, name: string): Project => ({ ...project, name });
