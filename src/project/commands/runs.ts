import type { RunJob } from '../../core/bending/run-spec';
import type { Project, Run } from '../schema';

export const addRun = (project: Project, run: Run): Project => ({ ...project, runs: [...project.runs, run] });

export const changeRun = (project: Project, id: string, change: Partial<Run>): Project => ({
  ...project,
  runs: project.runs.map((run) => (run.id === id ? { ...run, ...change } : run)),
});

/** Changes part of one step of a run's job. */
export function setStep<K extends keyof RunJob>(
  project: Project,
  id: string,
  step: K,
  change: Partial<RunJob[K]>,
): Project {
  const run = project.runs.find((r) => r.id === id);
  return run ? changeRun(project, id, { [step]: { ...run[step], ...change } }) : project;
}

/** Takes a run away, and the segment and path that no other run uses. */
export function deleteRun(project: Project, id: string): Project {
  const runs = project.runs.filter((run) => run.id !== id);
  return {
    ...project,
    runs,
    segments: project.segments.filter((s) => runs.some((run) => run.segment === s.id)),
    paths: project.paths.filter((p) => runs.some((run) => run.path === p.id)),
  };
}

export const renameProject = (project: Project, name: string): Project => ({ ...project, name });
