import type { NamedBlob } from './database';
import { database } from './database';

/** A sequence of files that was begun. */
export interface Unfinished {
  /** Of what state of which project: the first is its id, the second its hash. */
  readonly project: string;
  readonly state: string;
  /** How many frames it is to have. */
  readonly count: number;
  /** What was asked for, as JSON. */
  readonly asked: string;
}

const KEY = 'unfinished';

/** The sequence that was begun last and has not ended, and how many of its frames are kept. */
export async function unfinished(): Promise<(Unfinished & { readonly done: number }) | undefined> {
  const db = await database();
  const text = await db.get('app', KEY);
  return text === undefined ? undefined : { ...(JSON.parse(text) as Unfinished), done: await db.count('frames') };
}

/** Begins a sequence; what was kept of another one goes. */
export async function beginSequence(sequence: Unfinished): Promise<void> {
  const transaction = (await database()).transaction(['app', 'frames'], 'readwrite');
  await transaction.objectStore('frames').clear();
  await transaction.objectStore('app').put(JSON.stringify(sequence), KEY);
  await transaction.done;
}

export async function endSequence(): Promise<void> {
  const transaction = (await database()).transaction(['app', 'frames'], 'readwrite');
  await transaction.objectStore('frames').clear();
  await transaction.objectStore('app').delete(KEY);
  await transaction.done;
}

export const keptFrame = async (frame: number): Promise<readonly NamedBlob[] | undefined> =>
  (await database()).get('frames', frame);

export const keepFrame = async (frame: number, files: readonly NamedBlob[]): Promise<void> => {
  await (await database()).put('frames', [...files], frame);
};
