import { useEffect, useRef, useState } from 'react';
import { useProject, useResults, useSession } from '../state/app-context';

/**
 * The last framing that was asked for while runs were still being worked out, once they are: what was to be framed is there only then. It
 * is said once; runs that are worked out anew later, or drawn in what was empty, frame nothing.
 */
export function useLateFraming(count: number): number | undefined {
  const isBusy = useResults((s) => s.busy.size > 0);
  const isEmpty = useProject((s) => s.project.runs.length === 0);
  const isDrawing = useSession((s) => s.tool === 'pen' || s.tool === 'freehand');
  const hasResults = useResults((s) => s.results.size > 0);
  const [late, setLate] = useState<number>();
  const seen = useRef<number>(undefined);
  const isAwaited = useRef(false);
  useEffect(() => {
    if (seen.current !== count) {
      // The first one was asked for before there was anything here to hear of it.
      isAwaited.current = isBusy || (seen.current === undefined && !hasResults);
      seen.current = count;
    }
    if (isEmpty || isDrawing) isAwaited.current = false;
    if (isBusy || !hasResults || !isAwaited.current) return;
    isAwaited.current = false;
    setLate(count);
  }, [count, isBusy, hasResults, isEmpty, isDrawing]);
  return late;
}
