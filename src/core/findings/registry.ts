import { checks } from './checks';
import type { CheckInput, Finding } from './finding';

checks satisfies { [K in keyof typeof checks]: { kind: K } };

export type CheckName = keyof typeof checks;

/** Everything that the checks notice about a run, in the order of the list of checks. */
export const findAll = (input: CheckInput): readonly Finding[] =>
  Object.values(checks).flatMap((check) => check.find(input));
