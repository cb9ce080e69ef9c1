/** Numbers things in the order in which they are met, for keys. */
export class Numbers {
  readonly #known = new WeakMap<object, number>();
  #next = 1;

  of(thing: object): number {
    const known = this.#known.get(thing);
    if (known !== undefined) return known;
    this.#known.set(thing, this.#next);
    return this.#next++;
  }
}
