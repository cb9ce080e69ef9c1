import { proxy, wrap, type Remote } from 'comlink';
import type { ComputeApi } from './compute-api';
import { watchLife } from './worker-life';

/** The work was stopped by the one who asked for it. */
export class Stopped extends Error {}
/** The worker ended by an error of its own; a new one has been started. */
export class Crashed extends Error {}

/** One worker with a call under way at the most; a call can be stopped, and a crash is told to every caller. */
export class ComputeClient {
  #worker!: Worker;
  #api!: Remote<ComputeApi>;
  #unwatch!: () => void;
  readonly #waiting = new Set<(error: Error) => void>();

  constructor() {
    this.#start();
  }

  /** Runs `work` on the worker. Rejects with {@link Stopped} on the signal and with {@link Crashed} when the worker dies. */
  async call<T>(work: (api: Remote<ComputeApi>) => Promise<T>, signal?: AbortSignal): Promise<T> {
    signal?.throwIfAborted();
    return new Promise<T>((resolve, reject) => {
      const settle = () => {
        this.#waiting.delete(reject);
        signal?.removeEventListener('abort', stop);
      };
      const stop = () => this.#restart(new Stopped('stopped'));
      signal?.addEventListener('abort', stop);
      this.#waiting.add(reject);
      work(this.#api).then(resolve, reject).finally(settle);
    });
  }

  close(): void {
    this.#unwatch();
    this.#worker.terminate();
  }

  #start(): void {
    const name = crypto.randomUUID();
    this.#worker = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module', name });
    this.#unwatch = watchLife(this.#worker, name, () => this.#restart(new Crashed('it ended')));
    this.#worker.onerror = (event) => {
      event.preventDefault();
      this.#restart(new Crashed(event.message));
    };
    this.#api = wrap<ComputeApi>(this.#worker);
  }

  #restart(error: Error): void {
    this.#unwatch();
    this.#worker.terminate();
    this.#start();
    for (const reject of [...this.#waiting]) reject(error);
    this.#waiting.clear();
  }
}

export { proxy };
