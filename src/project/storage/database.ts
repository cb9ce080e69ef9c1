import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Project } from '../schema';

/** A stored project. `revision` grows by one with every save. */
export interface StoredProject {
  readonly id: string;
  readonly project: Project;
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly savedAt: number;
}

interface Stores extends DBSchema {
  projects: { key: string; value: StoredProject };
  /** Brought meshes as GLB, by id. */
  assets: { key: string; value: Blob };
  /** Small things of the app itself, such as which project was open last. */
  app: { key: string; value: string };
}

let opening: Promise<IDBPDatabase<Stores>> | undefined;

/** The browser's database, opened once a page or worker. */
export function database(): Promise<IDBPDatabase<Stores>> {
  opening ??= openDB<Stores>('rattan', 1, {
    upgrade(db) {
      db.createObjectStore('projects', { keyPath: 'id' });
      db.createObjectStore('assets');
      db.createObjectStore('app');
    },
    terminated() {
      opening = undefined;
    },
  });
  return opening;
}
