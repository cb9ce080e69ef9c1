import { useEffect, useState } from 'react';
import type { Result } from '../../core/math/result';
import type { ComputeApi } from '../../engine/compute-api';
import { useApp } from './app-context';

/** What the worker answers to a question, asked again when that is another one; undefined until it has, and where it has none. */
export function useAnswer<T>(ask: ((api: ComputeApi) => Promise<Result<T>>) | undefined): T | undefined {
  const { baker } = useApp();
  const [known, setKnown] = useState<{ readonly of: unknown; readonly value: T }>();
  useEffect(() => {
    if (!ask) return;
    let isLive = true;
    baker.call(ask).then(
      (answer) => isLive && answer.ok && setKnown({ of: ask, value: answer.value }),
      () => undefined, // a crash is told by the run itself
    );
    return () => {
      isLive = false;
    };
  }, [baker, ask]);
  return known && known.of === ask ? known.value : undefined;
}
