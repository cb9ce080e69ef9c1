import { useEffect, useRef, useState } from 'react';
import { useResults } from '../state/app-context';

/**
 * The last framing that was asked for while runs were still being worked out, once they are: what was to be framed is there only then. It
 * is said once; runs that are worked out anew later frame nothing.
 */
export function useLateFraming(count: number): number | undefined {
  const isBusy = useResults((s) => s.busy.size > 0);
  const [late, setLate] = useState<number>();
  const seen = useRef(count);
  const isAwaited = useRef(false);
  useEffect(() => {
    if (seen.current !== count) {
      seen.current = count;
      isAwaited.current = isBusy;
    }
    if (isBusy || !isAwaited.current) return;
    isAwaited.current = false;
    setLate(count);
  }, [count, isBusy]);
  return late;
}
