import { problem, type Problem, type Result } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';
import type { SessionStore } from './session-store';

/** The computing worker ended in the middle of something. */
export const CRASHED: Problem = problem('worker.crashed');

/** Ways to tell people what came of something. */
export interface Tell {
  /** Tells people of problems, each as a notice; true when there were none. `of` = what they are about, such as a file. */
  problems(problems: readonly Problem[], of?: string, kind?: 'error' | 'warning'): boolean;
  /** Tells of what is wrong with a result, or of its warnings. */
  result(result: Result<unknown>): boolean;
}

export function tellIn(session: SessionStore): Tell {
  const problems: Tell['problems'] = (list, of, kind = 'error') => {
    for (const each of list) session.getState().notify(`${of ? `${of}: ` : ''}${problemWords(each)}`, { kind });
    return list.length === 0;
  };
  return {
    problems,
    result: (result) => (result.ok ? problems(result.warnings, undefined, 'warning') : problems(result.problems)),
  };
}
