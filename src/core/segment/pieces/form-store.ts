import type { PreparedSegment } from '../prepared-segment';

/** Keeps sliced forms of segments, so that equal pieces share them and a drag does not slice again. */
export interface FormStore {
  /** The form of a segment that `key` stands for; made when there is none. */
  get(segment: PreparedSegment, key: string, make: () => PreparedSegment): PreparedSegment;
}

/** Keeps every form for as long as the store itself: for one bake. */
export function buildFormStore(): FormStore {
  const kept = new Map<PreparedSegment, Map<string, PreparedSegment>>();
  return {
    get(segment, key, make) {
      const own = kept.get(segment) ?? new Map<string, PreparedSegment>();
      kept.set(segment, own);
      const form = own.get(key) ?? make();
      own.set(key, form);
      return form;
    },
  };
}
