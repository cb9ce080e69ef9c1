interface Held {
  readonly isShared: boolean;
  readonly lost: (error: Error) => void;
}

interface Options {
  readonly mode?: 'exclusive' | 'shared';
  readonly steal?: boolean;
  readonly ifAvailable?: boolean;
}

/** Web Locks within one process, as far as the app uses them: `mode`, `ifAvailable` and `steal` (W3C Web Locks API, section 3). */
export class FakeLocks {
  readonly #held = new Map<string, Held[]>();

  request<T>(
    name: string,
    { mode = 'exclusive', steal }: Options,
    work: (lock: { name: string } | null) => T | Promise<T>,
  ): Promise<T> {
    const before = this.#held.get(name) ?? [];
    const isShared = mode === 'shared';
    const isFree = before.every((held) => held.isShared && isShared);
    if (!isFree && !steal) return Promise.resolve(work(null));
    if (steal) for (const held of before) held.lost(new DOMException('The lock was stolen.', 'AbortError'));
    return new Promise<T>((resolve, reject) => {
      const own: Held = { isShared, lost: reject };
      this.#held.set(name, steal ? [own] : [...before, own]);
      void Promise.resolve(work({ name })).then((value) => {
        this.#held.set(
          name,
          (this.#held.get(name) ?? []).filter((held) => held !== own),
        );
        resolve(value);
      }, reject);
    });
  }
}
