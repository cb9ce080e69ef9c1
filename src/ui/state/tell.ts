import { enqueueSnackbar } from 'notistack';
import type { Problem, Result } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';

/** The computing worker ended in the middle of something. */
export const CRASHED: Problem = { code: 'worker.crashed', path: [], facts: {} };

/** Tells people of problems, each as a notice; true when there were none. `of` = what they are about, such as a file. */
export function tell(problems: readonly Problem[], of?: string, variant: 'error' | 'warning' = 'error'): boolean {
  for (const problem of problems)
    enqueueSnackbar(`${of ? `${of}: ` : ''}${problemWords(problem)}`, { variant, preventDuplicate: true });
  return problems.length === 0;
}

/** Tells of what is wrong with a result, or of its warnings. */
export const tellResult = (result: Result<unknown>): boolean =>
  result.ok ? tell(result.warnings, undefined, 'warning') : tell(result.problems);
