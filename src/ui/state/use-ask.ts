import { enqueueSnackbar } from 'notistack';
import type { Result } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';
import type { ComputeApi } from '../../engine/compute-api';
import type { Remote } from 'comlink';
import { useCallback } from 'react';
import { useApp } from './app-context';

/** Asks the worker for something once, and tells what is wrong where there is no answer. */
export function useAsk() {
  const { baker } = useApp();
  return useCallback(
    async <T>(question: (api: Remote<ComputeApi>) => Promise<Result<T>>): Promise<T | undefined> => {
      try {
        const answer = await baker.call((api) => question(api));
        for (const problem of answer.ok ? answer.warnings : answer.problems)
          enqueueSnackbar(problemWords(problem), { variant: answer.ok ? 'warning' : 'error' });
        return answer.ok ? answer.value : undefined;
      } catch {
        enqueueSnackbar(problemWords({ code: 'worker.crashed', path: [], facts: {} }), { variant: 'error' });
        return undefined;
      }
    },
    [baker],
  );
}
