import { useMemo } from 'react';
import { useProject, useRun, useSession } from '../state/app-context';

/** Runs that move when a point of the selected run's path does; none while a guide is dragged, which any run may follow. */
export function useMovingRuns(): ReadonlySet<string> {
  const selected = useRun();
  const runs = useProject((s) => s.project.runs);
  const guide = useSession((s) => s.guide);
  return useMemo(
    () => new Set(guide ? [] : runs.filter(({ path }) => path === selected?.path).map(({ id }) => id)),
    [runs, selected?.path, guide],
  );
}
