import { database } from './database';

const KEY = 'worked';

/** Parts of long work that are kept until the whole is done, so that one that was stopped, or lost its page, need not begin anew. */
export interface KeptWork {
  read(part: string): Promise<unknown>;
  write(part: string, made: unknown): Promise<void>;
  /** The whole is done: nothing is kept any more. */
  end(): Promise<void>;
}

/** The kept parts of work that is known by `key`; those of other work go. */
export async function keptWork(key: string): Promise<KeptWork> {
  const db = await database();
  if ((await db.get('app', KEY)) !== key) {
    await db.clear('worked');
    await db.put('app', key, KEY);
  }
  return {
    read: (part) => db.get('worked', part),
    write: async (part, made) => void (await db.put('worked', made, part)),
    end: () => db.clear('worked'),
  };
}
