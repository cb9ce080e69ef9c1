import type { Vec3 } from '../../core/math/vec3';

/** Gives places numbers from 0 on, the same for the same coordinates: a hash table with open addresses (Knuth, TAOCP 3, section 6.4). */
export class PlaceNumbers {
  count = 0;
  readonly #mask: number;
  /** Number + 1 by hash; 0 = free. */
  readonly #table: Int32Array;
  readonly #coordinates: Float64Array;
  readonly #bits = new Int32Array(6);
  readonly #asBits = new Float64Array(this.#bits.buffer);

  /** `most` = how many places there may be. */
  constructor(most: number) {
    const size = 2 ** Math.ceil(Math.log2(Math.max(most, 1) * 2));
    this.#mask = size - 1;
    this.#table = new Int32Array(size);
    this.#coordinates = new Float64Array(most * 3);
  }

  of([x, y, z]: Vec3): number {
    const c = this.#coordinates;
    for (let at = this.#hash(x, y, z) & this.#mask; ; at = (at + 1) & this.#mask) {
      const number = this.#table[at] - 1;
      if (number < 0) {
        this.#table[at] = ++this.count;
        c.set([x, y, z], (this.count - 1) * 3);
        return this.count - 1;
      }
      if (c[number * 3] === x && c[number * 3 + 1] === y && c[number * 3 + 2] === z) return number;
    }
  }

  #hash(x: number, y: number, z: number): number {
    [this.#asBits[0], this.#asBits[1], this.#asBits[2]] = [x + 0, y + 0, z + 0]; // minus nought is nought
    let hash = 0;
    for (const word of this.#bits) hash = Math.imul(hash ^ word ^ (word >>> 15), 0x9e3779b1);
    return hash ^ (hash >>> 16);
  }
}
