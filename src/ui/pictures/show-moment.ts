import type { AppServices } from '../state/app-context';

/** Milliseconds after which a picture of the page is no longer waited for: a tab that is not seen draws none. */
const PATIENCE = 200;

/** Lets the project stand at a moment, seconds (undefined = when all is over), and waits until all of it is worked out and in the scene. */
export async function showMoment(
  { session, results }: Pick<AppServices, 'session' | 'results'>,
  time: number | undefined,
  signal: AbortSignal,
): Promise<void> {
  session.getState().set({ time, isPlaying: false });
  await new Promise<void>((resolve) => {
    const isDone = () => signal.aborted || results.getState().busy.size === 0;
    if (isDone()) return resolve();
    const stop = results.subscribe(() => isDone() && done());
    const done = () => {
      stop();
      resolve();
    };
    signal.addEventListener('abort', done, { once: true });
  });
  for (let i = 0; i < 2; i++) await drawn();
}

const drawn = (): Promise<void> =>
  new Promise((resolve) => {
    const late = setTimeout(resolve, PATIENCE);
    requestAnimationFrame(() => {
      clearTimeout(late);
      setTimeout(resolve, 0);
    });
  });
