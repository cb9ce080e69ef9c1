import { isObject, objectOf } from './loose';

/** Runs may have slid beside their speed, and values may have keys over time. */
export function toVersion5(file: unknown): unknown {
  const { project, ...beside } = objectOf(file);
  const { runs, ...kept } = objectOf(project);
  if (!Array.isArray(runs)) return { ...beside, project: { ...objectOf(project), version: 5 } };
  return {
    ...beside,
    project: {
      ...kept,
      version: 5,
      runs: runs.map((run: unknown) =>
        isObject(run) && isObject(run.motion) ? { ...run, motion: { ...run.motion, shift: 0 } } : run,
      ),
      keyed: [],
    },
  };
}
