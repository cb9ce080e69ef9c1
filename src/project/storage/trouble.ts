import type { Problem, ProblemCode } from '../../core/math/result';

/** What a storage's error means, by its name (W3C Indexed Database API 3.0, section 3; WHATWG Storage). */
const CODES: Readonly<Record<string, Extract<ProblemCode, `storage.${string}`>>> = {
  QuotaExceededError: 'storage.full',
  VersionError: 'storage.newer',
  SecurityError: 'storage.refused',
  InvalidStateError: 'storage.refused', // private windows of some browsers
  MissingStorage: 'storage.none',
};

/** Thrown where the browser has no database at all. */
export class MissingStorage extends Error {
  override readonly name = 'MissingStorage';
}

/** An error of the storage as a problem: `storage.full`, `.newer`, `.refused`, `.none`, or `storage.failed` with `reason`. */
export function storageProblem(error: unknown): Problem {
  const { name = '', message = String(error) } = error instanceof Error ? error : (error as Partial<Error>);
  return { code: CODES[name] ?? 'storage.failed', path: [], facts: { reason: message || name } };
}
