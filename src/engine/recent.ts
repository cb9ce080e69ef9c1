/** Keeps the values asked for most recently, by key. */
export class Recent<V> {
  readonly #most: number;
  readonly #values = new Map<string, V>();

  constructor(most: number) {
    this.#most = most;
  }

  get(key: string, make: () => V): V {
    let value = this.#values.get(key);
    if (value === undefined) value = make();
    this.#values.delete(key);
    this.#values.set(key, value);
    if (this.#values.size > this.#most) this.#values.delete(this.#values.keys().next().value!);
    return value;
  }

  /** The value kept, if there is one; counts as no asking. */
  peek(key: string): V | undefined {
    return this.#values.get(key);
  }

  drop(key: string): void {
    this.#values.delete(key);
  }
}
