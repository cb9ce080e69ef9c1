import type { ComputeApi } from './compute-api';
import { remoteOf } from './remote';
import { watchLife } from './worker-life';

/** The work was stopped by the one who asked for it. */
export class Stopped extends Error {}
/** The worker ended by an error of its own; a new one has been started. */
export class Crashed extends Error {}

interface Call {
  readonly work: () => void;
  readonly reject: (error: Error) => void;
}

/** One worker. A call can be stopped, which ends the worker: the others that wait go on with a new one. A crash is told to every caller. */
export class ComputeClient {
  #worker!: Worker;
  #api!: ComputeApi;
  #unwatch!: () => void;
  readonly #calls = new Set<Call>();
  readonly #makeWorker: (name: string) => Worker;

  constructor(makeWorker = startWorker) {
    this.#makeWorker = makeWorker;
    this.#start();
  }

  /** Runs `work` on the worker, again where another call was stopped meanwhile. Rejects with {@link Stopped} on the signal and with {@link Crashed} when the worker dies. */
  async call<T>(work: (api: ComputeApi) => Promise<T>, signal?: AbortSignal): Promise<T> {
    signal?.throwIfAborted();
    return new Promise<T>((resolve, reject) => {
      const settle = () => {
        this.#calls.delete(call);
        signal?.removeEventListener('abort', stop);
      };
      const start = () => {
        const api = this.#api;
        const isNow = () => api === this.#api && this.#calls.has(call); // else it was begun again, or has ended
        work(api).then(
          (value) => {
            if (!isNow()) return;
            settle();
            resolve(value);
          },
          (error: Error) => {
            if (!isNow()) return;
            settle();
            reject(error);
          },
        );
      };
      const call: Call = {
        work: start,
        reject: (error) => {
          settle();
          reject(error);
        },
      };
      const stop = () => {
        call.reject(new Stopped('stopped'));
        this.#restart();
        for (const other of this.#calls) other.work();
      };
      signal?.addEventListener('abort', stop);
      this.#calls.add(call);
      start();
    });
  }

  close(): void {
    this.#unwatch();
    this.#worker.terminate();
  }

  #start(): void {
    const name = crypto.randomUUID();
    this.#worker = this.#makeWorker(name);
    this.#unwatch = watchLife(this.#worker, name, () => this.#crash(new Crashed('it ended')));
    this.#worker.onerror = (event) => {
      event.preventDefault();
      this.#crash(new Crashed(event.message));
    };
    this.#api = remoteOf<ComputeApi>(this.#worker);
  }

  #restart(): void {
    this.close();
    this.#start();
  }

  #crash(error: Crashed): void {
    this.#restart();
    for (const { reject } of [...this.#calls]) reject(error);
  }
}

const startWorker = (name: string): Worker =>
  new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module', name });
