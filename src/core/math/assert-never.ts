/** Ends a switch over a closed union: reached only when a member was forgotten. */
export function assertNever(value: never): never {
  throw new RangeError(`assertNever: unexpected ${String(value)}`);
}
