import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { Answer, BakeQuery } from './bake-request';

/** One bake a core, with one core left for the page where there are several. */
const THREADS = Math.max(1, availableParallelism() - 1);
/** Bakes that wait; more are asked to come again. */
const QUEUE = 2 * THREADS;
/** Megabytes of JavaScript heap of a bake; buffers beside it are limited by what readers and runs accept. */
const HEAP = 1024;
/** Milliseconds after which a thread without work ends. */
const IDLE = 60_000;

export type BakeOutcome = Answer | 'busy' | 'late' | 'too-large';

let pool: Piscina | undefined;
/** Bakes that run or wait. */
let count = 0;

/** Bakes in a thread of its own; when `signal` says that it is late the thread is ended, whatever it is doing. */
export async function bakeInThread(body: Uint8Array, query: BakeQuery, signal: AbortSignal): Promise<BakeOutcome> {
  if (count >= THREADS + QUEUE) return 'busy';
  pool ??= new Piscina({
    filename: join(process.cwd(), 'src/engine/bake-thread.mjs'),
    minThreads: 0,
    maxThreads: THREADS,
    idleTimeout: IDLE,
    resourceLimits: { maxOldGenerationSizeMb: HEAP },
  });
  count++;
  try {
    return (await pool.run({ body, query }, { signal })) as Answer;
  } catch (error) {
    if (signal.aborted) return 'late';
    if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') return 'too-large';
    throw error;
  } finally {
    count--;
  }
}

/** Ends all threads. */
export async function closePool(): Promise<void> {
  await pool?.destroy();
  pool = undefined;
}
