/** A value that is worked out when it is first asked for. */
export function lazy<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}
