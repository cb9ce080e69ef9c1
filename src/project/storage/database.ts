import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Kit } from '../commands/kits';
import type { Project } from '../schema';
import { MissingStorage } from './trouble';

/** A stored project. `revision` grows by one with every save. */
export interface StoredProject {
  readonly id: string;
  readonly project: Project;
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly savedAt: number;
  /** The tab that may save it; another one that takes it over writes its own name here. */
  readonly writer?: string | undefined;
}

/** A file's name and what it holds. */
export interface NamedBlob {
  readonly name: string;
  readonly blob: Blob;
}

interface Stores extends DBSchema {
  projects: { key: string; value: StoredProject };
  kits: { key: string; value: Kit };
  /** Brought meshes as GLB, by id. */
  assets: { key: string; value: Blob };
  /** Small things of the app itself, such as which project was open last. */
  app: { key: string; value: string };
  /** The files of a sequence that has not ended, by frames. */
  frames: { key: number; value: NamedBlob[] };
  /** Parts of work that has not ended, whatever they are. */
  worked: { key: string; value: unknown };
}

let opening: Promise<IDBPDatabase<Stores>> | undefined;

/** The browser's database, opened once a page or worker. Rejects with what {@link storageProblem} puts into words. */
export function database(): Promise<IDBPDatabase<Stores>> {
  if (typeof indexedDB === 'undefined' || indexedDB === null)
    return Promise.reject(new MissingStorage('This browser has no database.'));
  opening ??= openDB<Stores>('rattan', 3, {
    upgrade(db, before) {
      if (before < 1) {
        db.createObjectStore('projects', { keyPath: 'id' });
        db.createObjectStore('assets');
        db.createObjectStore('app');
      }
      if (before < 2) {
        db.createObjectStore('frames');
        db.createObjectStore('worked');
      }
      db.createObjectStore('kits', { keyPath: 'id' });
    },
    blocking(_, __, event) {
      (event.target as IDBDatabase).close(); // a newer version of the app in another tab needs it
      opening = undefined;
    },
    terminated() {
      opening = undefined;
    },
  });
  opening.catch(() => (opening = undefined));
  return opening;
}
