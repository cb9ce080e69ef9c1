const ALIVE = 'alive';

/** In a worker: holds the lock of its name as long as the thread lives. */
export function holdLife(): void {
  void navigator.locks?.request(self.name, { mode: 'exclusive' }, () => {
    self.postMessage(ALIVE);
    return new Promise(() => {});
  });
}

/**
 * On the page: tells when a worker ends without a word, as for want of memory, by the lock that it lets go of (W3C Web Locks API,
 * section 2.3). The worker's name is that of the lock. Gives a way to stop watching.
 */
export function watchLife(worker: Worker, name: string, onEnd: () => void): () => void {
  const watch = new AbortController();
  worker.addEventListener('message', ({ data }) => {
    if (data !== ALIVE) return;
    navigator.locks.request(name, { signal: watch.signal }, onEnd).catch(() => {}); // it was ended from here
  });
  return () => watch.abort();
}
