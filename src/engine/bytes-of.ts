/** Of objects and numbers that are not in typed arrays, a rough measure. */
const PER_FIELD = 16;
/** Of longer lists this many are looked at, and the others taken to be like them. */
const LOOKED_AT = 16;

/** About how many bytes a value holds beside what others hold as well, each typed array counted once. Linear in objects, not in numbers of typed arrays. */
export function bytesOf(value: object, others: readonly object[] = []): number {
  const seen = new Set<object>();
  const measure = (thing: unknown): number => {
    if (typeof thing === 'string') return thing.length * 2;
    if (typeof thing !== 'object' || thing === null) return PER_FIELD;
    if (seen.has(thing)) return PER_FIELD;
    seen.add(thing);
    if (ArrayBuffer.isView(thing)) {
      if (seen.has(thing.buffer)) return PER_FIELD;
      seen.add(thing.buffer);
      return thing.buffer.byteLength;
    }
    if (thing instanceof Map) return measure([...thing.values()]);
    const values = Object.values(thing);
    const looked = Array.isArray(thing) ? values.slice(0, LOOKED_AT) : values;
    const bytes = looked.reduce((sum: number, each) => sum + PER_FIELD + measure(each), PER_FIELD);
    return looked.length < values.length ? (bytes * values.length) / looked.length : bytes;
  };
  for (const other of others) measure(other);
  return measure(value);
}
