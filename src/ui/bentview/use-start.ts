import { useEffect } from 'react';
import type { Box } from '../../core/mesh/box';
import type { Path } from '../../project/schema';
import { useSegmentView } from '../segment/use-segment-view';
import { useApp, useProject, useResults, useRun, useRunResult } from '../state/app-context';

/** The box of the segment that is about to be laid; a first run's path begins in a view that fits it. */
export function useStart(path: Path | undefined): Box | undefined {
  const { session } = useApp();
  const run = useRun();
  const result = useRunResult(run?.id);
  const segment = useProject((s) => s.project.segments.find(({ id }) => id === run?.segment));
  const hasGuides = useProject((s) => s.project.guides.some(({ visible }) => visible));
  const hasResults = useResults((s) => s.results.size > 0);
  const { view, isBusy } = useSegmentView(result ? undefined : segment);
  const box = result?.view.segment.box ?? (isBusy ? undefined : view?.box);
  const isFirst = path?.curve.points.length === 0 && !hasGuides && !hasResults;
  useEffect(() => {
    if (isFirst && box) session.getState().frame('all');
  }, [isFirst, box, session]);
  return box;
}
