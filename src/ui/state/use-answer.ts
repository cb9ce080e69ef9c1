import { useEffect, useState } from 'react';
import type { Result } from '../../core/math/result';
import type { ComputeApi } from '../../engine/compute-api';
import { useApp } from './app-context';

/** Milliseconds that a question has to stand before it is asked: while something is dragged none is. */
const STANDS = 100;

/** What the view's worker, which has all runs at hand, answers to a question; asked again when that is another one; until then what it answered last. */
export function useAnswer<T>(ask: ((api: ComputeApi) => Promise<Result<T>>) | undefined): T | undefined {
  const { viewer } = useApp();
  const [known, setKnown] = useState<T>();
  useEffect(() => {
    if (!ask) return;
    let isLive = true;
    const timer = setTimeout(() => {
      viewer.call(ask).then(
        (answer) => isLive && setKnown(answer.ok ? answer.value : undefined),
        () => undefined, // a crash is told by the run itself
      );
    }, STANDS);
    return () => {
      isLive = false;
      clearTimeout(timer);
    };
  }, [viewer, ask]);
  return known;
}
