import { LRUCache } from 'lru-cache';
import { Numbers } from '../core/math/numbers';
import type { FormStore } from '../core/segment/pieces/form-store';
import type { PreparedSegment } from '../core/segment/prepared-segment';
import { bytesOf } from './bytes-of';

/** Bytes of everything that is kept, unless it is said otherwise. */
const BUDGET = 384 * 2 ** 20;

/** What stages made, those asked for last within one budget of bytes. */
export class StageCache implements FormStore {
  readonly #kept: LRUCache<string, object>;
  readonly #numbers = new Numbers();
  readonly #forms: Stage<PreparedSegment>;
  #next = 1;

  constructor(budget = BUDGET) {
    this.#kept = new LRUCache({ maxSize: budget });
    this.#forms = this.stage((form) => bytesOf(form));
  }

  /** Bytes kept. */
  get bytes(): number {
    return this.#kept.calculatedSize;
  }

  /** A store for what one stage makes; `measure` leaves out what another stage keeps. */
  stage<V extends object>(measure: (made: V) => number = bytesOf): Stage<V> {
    return new Stage<V>(this.#kept, `${this.#next++}:`, measure);
  }

  get(segment: PreparedSegment, key: string, make: () => PreparedSegment): PreparedSegment {
    return this.#forms.get(`${this.#numbers.of(segment)}:${key}`, make);
  }
}

/** What one stage made, by what it was made from. */
export class Stage<V extends object> {
  readonly #kept: LRUCache<string, object>;
  readonly #prefix: string;
  readonly #measure: (made: V) => number;
  /** Those that are being made: whoever asks meanwhile waits for the same. */
  readonly #making = new Map<string, Promise<V>>();

  constructor(kept: LRUCache<string, object>, prefix: string, measure: (made: V) => number) {
    this.#kept = kept;
    this.#prefix = prefix;
    this.#measure = measure;
  }

  get(key: string, make: () => V): V {
    const known = this.peek(key);
    if (known) return known;
    const made = make();
    this.put(key, made);
    return made;
  }

  /** As {@link get}; only what `keeps` agrees to is kept. */
  async getLater(key: string, make: () => Promise<V>, keeps: (made: V) => boolean = () => true): Promise<V> {
    const known = this.peek(key) ?? this.#making.get(key);
    if (known) return known;
    const making = make();
    this.#making.set(key, making);
    try {
      const made = await making;
      if (keeps(made)) this.put(key, made);
      return made;
    } finally {
      this.#making.delete(key);
    }
  }

  /** The value kept, if there is one. */
  peek(key: string): V | undefined {
    return this.#kept.get(this.#prefix + key) as V | undefined;
  }

  put(key: string, made: V): void {
    this.#kept.set(this.#prefix + key, made, { size: Math.max(1, Math.ceil(this.#measure(made))) });
  }
}
