import { enqueueSnackbar } from 'notistack';
import type { Problem } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';

/** Tells people of problems, each as a notice; true when there were none. `of` = what they are about, such as a file. */
export function tell(problems: readonly Problem[], of?: string): boolean {
  for (const problem of problems)
    enqueueSnackbar(`${of ? `${of}: ` : ''}${problemWords(problem)}`, { variant: 'error', preventDuplicate: true });
  return problems.length === 0;
}
