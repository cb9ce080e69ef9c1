interface Held {
  readonly lost: (error: Error) => void;
}

/** Web Locks within one process, as far as the app uses them: exclusive, `ifAvailable` and `steal` (W3C Web Locks API, section 3). */
export class FakeLocks {
  readonly #held = new Map<string, Held>();

  request<T>(
    name: string,
    options: { readonly steal?: boolean; readonly ifAvailable?: boolean },
    work: (lock: { name: string } | null) => T | Promise<T>,
  ): Promise<T> {
    const before = this.#held.get(name);
    if (before && !options.steal) return Promise.resolve(work(null));
    before?.lost(new DOMException('The lock was stolen.', 'AbortError'));
    return new Promise<T>((resolve, reject) => {
      const own: Held = { lost: reject };
      this.#held.set(name, own);
      void Promise.resolve(work({ name })).then((value) => {
        if (this.#held.get(name) === own) this.#held.delete(name);
        resolve(value);
      }, reject);
    });
  }
}
