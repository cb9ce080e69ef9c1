import type { Result } from '../../core/math/result';
import type { ComputeApi } from '../../engine/compute-api';
import { useCallback } from 'react';
import { useApp } from './app-context';
import { CRASHED } from './tell';

/** Asks the worker for something once, and tells what is wrong where there is no answer. */
export function useAsk() {
  const { baker, tell } = useApp();
  return useCallback(
    async <T>(question: (api: ComputeApi) => Promise<Result<T>>): Promise<T | undefined> => {
      try {
        const answer = await baker.call((api) => question(api));
        tell.result(answer);
        return answer.ok ? answer.value : undefined;
      } catch {
        tell.problems([CRASHED]);
        return undefined;
      }
    },
    [baker, tell],
  );
}
