import type { Project, Run } from '../schema';

/** Runs that may wait for another one: not for itself, nor for one that waits for it. */
export function mayWaitFor({ runs }: Project, id: string): readonly Run[] {
  const waits = (run: Run, left: number): boolean => {
    if (run.id === id) return true;
    const next = runs.find((other) => other.id === run.motion.after?.run);
    return left > 0 && next !== undefined && waits(next, left - 1);
  };
  return runs.filter((run) => !waits(run, runs.length));
}

/** Runs wait no more for those that are gone. */
export function withoutLostWaits(project: Project): Project {
  const ids = new Set(project.runs.map(({ id }) => id));
  const isLost = ({ motion: { after } }: Run) => after !== null && !ids.has(after.run);
  if (!project.runs.some(isLost)) return project;
  const runs = project.runs.map((run) => (isLost(run) ? { ...run, motion: { ...run.motion, after: null } } : run));
  return { ...project, runs };
}
