import { remoteOf } from './remote';
import { watchLife } from './worker-life';
import { saveProject } from '../project/storage/projects';

export type Save = typeof saveProject;

/** Saves in a thread of its own: the page's is busy drawing while somebody edits, and its answers from the database wait for that. */
export function startSaver(): { readonly save: Save; close(): void } {
  const name = crypto.randomUUID();
  const worker = new Worker(new URL('./save.worker.ts', import.meta.url), { type: 'module', name });
  const remote = remoteOf<{ save: Save }>(worker);
  let broke: (error: Error) => void = () => {};
  const broken = new Promise<never>((_, reject) => (broke = reject));
  broken.catch(() => {});
  worker.onerror = (event) => {
    event.preventDefault();
    broke(new Error(event.message));
    worker.terminate();
  };
  const unwatch = watchLife(worker, name, () => broke(new Error('it ended')));
  return {
    // Where the thread does not start or has ended, the page does it.
    save: (ticket, project) =>
      Promise.race([remote.save(ticket, project), broken.catch(() => saveProject(ticket, project))]),
    close() {
      unwatch();
      worker.terminate();
    },
  };
}
