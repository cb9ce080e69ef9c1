/** Answers of workers that take time and are asked for again and again, by what was asked; a promise that came to nothing is forgotten. */
export class Answers<T> {
  readonly #kept = new Map<string, Promise<T | undefined>>();
  readonly #most: number;
  #last: Promise<unknown> = Promise.resolve();

  constructor(most: number) {
    this.#most = most;
  }

  /** One after the other, so that other work need not wait for all of them; `undefined` where it cannot be had. */
  ask(key: string, work: () => Promise<T | undefined>): Promise<T | undefined> {
    const known = this.#kept.get(key);
    if (known) return known;
    const asked = this.#last.then(work).catch(() => undefined); // a crash is told where it happened
    this.#last = asked;
    if (this.#kept.size >= this.#most) this.#kept.delete(this.#kept.keys().next().value!);
    this.#kept.set(key, asked);
    void asked.then((made) => made === undefined && this.#kept.delete(key));
    return asked;
  }
}
