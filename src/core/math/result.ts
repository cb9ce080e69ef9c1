import type { ProblemFacts } from './problem-facts';

export type ProblemCode = keyof ProblemFacts;

/** Where in the input: keys and places. */
export type ProblemPath = readonly (string | number)[];

/** What any problem may be about: the names of a run and of a guide. */
interface About {
  readonly run?: string;
  readonly guide?: string;
}

/** Something wrong with what a user gave. `path` says where in the input; the words are made elsewhere. */
export type Problem = {
  readonly [C in ProblemCode]: {
    readonly code: C;
    readonly path: ProblemPath;
    readonly facts: Readonly<ProblemFacts[C]> & About;
  };
}[ProblemCode];

/** The outcome of work on a user's data: a value with warnings, or the problems that stopped it. */
export type Result<T> =
  | { readonly ok: true; readonly value: T; readonly warnings: readonly Problem[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export const ok = <T>(value: T, warnings: readonly Problem[] = []): Result<T> => ({ ok: true, value, warnings });

/** Facts may be left out where there are none. */
type Told<C extends ProblemCode> =
  Record<never, never> extends ProblemFacts[C]
    ? [facts?: ProblemFacts[C] & About, path?: ProblemPath]
    : [facts: ProblemFacts[C] & About, path?: ProblemPath];

export const problem = <C extends ProblemCode>(code: C, ...[facts, path = []]: Told<C>): Problem =>
  ({ code, path, facts: facts ?? {} }) as Problem; // a code with its own facts

export const fail = <C extends ProblemCode>(
  code: C,
  ...told: Told<C>
): { readonly ok: false; readonly problems: readonly Problem[] } => ({ ok: false, problems: [problem(code, ...told)] });

/** The same problem of something in particular. */
export const about = (of: About, { facts, ...told }: Problem): Problem =>
  ({ ...told, facts: { ...of, ...facts } }) as Problem;
