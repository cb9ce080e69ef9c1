/** Something wrong with what a user gave. `path` says where in the input; the words are made in the interface. */
export interface Problem {
  readonly code: string;
  readonly path: readonly (string | number)[];
  readonly facts: Readonly<Record<string, number | string>>;
}

/** The outcome of work on a user's data: a value with warnings, or the problems that stopped it. */
export type Result<T> =
  | { readonly ok: true; readonly value: T; readonly warnings: readonly Problem[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export const ok = <T>(value: T, warnings: readonly Problem[] = []): Result<T> => ({ ok: true, value, warnings });

export const fail = (
  code: string,
  facts: Problem['facts'] = {},
  path: Problem['path'] = [],
): { readonly ok: false; readonly problems: readonly Problem[] } => ({ ok: false, problems: [{ code, path, facts }] });
