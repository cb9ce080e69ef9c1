import { Numbers } from '../math/numbers';
import type { PreparedSegment } from '../segment/prepared-segment';

/** Bytes of sliced forms that are kept unless it is said otherwise. */
const MOST_BYTES = 192 * 2 ** 20;

/** Keeps sliced forms of segments, those used last within a budget of bytes, so that equal pieces share them and a drag does not slice again. */
export class SliceStore {
  readonly #most: number;
  readonly #kept = new Map<string, { readonly form: PreparedSegment; readonly bytes: number }>();
  readonly #numbers = new Numbers();
  #bytes = 0;

  constructor(most = MOST_BYTES) {
    this.#most = most;
  }

  get bytes(): number {
    return this.#bytes;
  }

  /** The form of a segment that `key` stands for; made when there is none. */
  get(segment: PreparedSegment, key: string, make: () => PreparedSegment): PreparedSegment {
    const full = `${this.#numbers.of(segment)}:${key}`;
    const found = this.#kept.get(full);
    this.#kept.delete(full);
    const kept = found ?? this.#added(make());
    this.#kept.set(full, kept);
    for (const [oldest, { bytes }] of this.#kept) {
      if (this.#bytes <= this.#most || oldest === full) break;
      this.#kept.delete(oldest);
      this.#bytes -= bytes;
    }
    return kept.form;
  }

  #added(form: PreparedSegment): { form: PreparedSegment; bytes: number } {
    const { positions, normals, uvs, colours, indices } = form.mesh;
    const bytes = [positions, normals, uvs, colours, indices].reduce((sum, array) => sum + (array?.byteLength ?? 0), 0);
    this.#bytes += bytes;
    return { form, bytes };
  }
}
