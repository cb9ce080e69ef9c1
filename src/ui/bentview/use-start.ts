import { useEffect, useState } from 'react';
import type { Box } from '../../core/mesh/box';
import { type Path, type Segment } from '../../project/schema';
import { useApp, useCourse, useCourseView, useProject, useResults } from '../state/app-context';

/** The box of the segment that is about to be laid; a first run's path begins in a view that fits it. */
export function useStart(path: Path | undefined): Box | undefined {
  const { session } = useApp();
  const result = useCourseView();
  const first = useCourse()?.segment;
  const segment = useProject((s) => s.project.segments.find(({ id }) => id === first));
  const hasGuides = useProject((s) => s.project.guides.some(({ visible }) => visible));
  const hasResults = useResults((s) => s.results.size > 0);
  const asked = useSegmentBox(result ? undefined : segment);
  const box = result?.segment.box ?? asked;
  const isFirst = path?.curve.points.length === 0 && !hasGuides && !hasResults;
  useEffect(() => {
    if (isFirst && box) session.getState().frame('all');
  }, [isFirst, box, session]);
  return box;
}

/** How large a segment is that nothing is laid of yet. What is wrong with it is told where it is laid. */
function useSegmentBox(segment: Segment | undefined): Box | undefined {
  const { baker } = useApp();
  const [known, setKnown] = useState<{ readonly of: Segment; readonly box: Box }>();
  useEffect(() => {
    if (!segment) return;
    let isLive = true;
    const { source, prepare } = segment;
    const ask = baker.call((api) => api.box({ source, prepare, finishes: [] }));
    ask.then(
      (result) => isLive && result.ok && setKnown({ of: segment, box: result.value }),
      () => undefined, // a crash is told by the run itself
    );
    return () => {
      isLive = false;
    };
  }, [baker, segment]);
  return known && known.of === segment ? known.box : undefined;
}
