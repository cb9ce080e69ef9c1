import type { Problem } from '../src/core/math/result';
import { problemWords } from '../src/engine/problem-words';

export const say = (text: string) => process.stderr.write(`${text}\n`);

/** Says what is wrong with a file; the exit code is that of failure. */
export function tell(file: string, problems: readonly Problem[]): 1 {
  for (const problem of problems) say(`rattan: ${file}: ${problemWords(problem)}`);
  return 1;
}
