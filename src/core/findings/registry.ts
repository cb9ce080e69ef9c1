import { checks } from './checks';
import type { Check, CheckInput, FindingOf } from './finding';

checks satisfies { [K in keyof typeof checks]: { kind: K } };

export type CheckName = keyof typeof checks;

/** The facts that a check tells. */
export type FactsOf<K extends CheckName> = (typeof checks)[K] extends Check<string, infer F> ? F : never;

/** Something that the checks noticed. */
export type Finding = { [K in CheckName]: FindingOf<K, FactsOf<K>> }[CheckName];

/** Everything that the checks notice about a run, in the order of the list of checks. */
export const findAll = (input: CheckInput): readonly Finding[] =>
  Object.values(checks).flatMap((check): readonly Finding[] => check.find(input));
