import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/**
 * Something of a job that waits in this browser, each as a record of its own so that two tabs cannot write
 * over each other.
 */
export interface WaitingRecord {
  readonly id: string;
  readonly jobId: string;
  /** The opening of a tab that looks after it. */
  readonly tab: string;
  readonly kind: 'pending' | 'conflict' | 'aside';
  readonly value: unknown;
}

/** What is typed in a field and not taken over yet. */
export interface DraftRecord {
  readonly key: string;
  readonly text: string;
  /** The version of the row that was there when the first letter was typed; absent: there was none. */
  readonly version?: number | undefined;
}

/** A picture that has not reached the server yet. */
interface PictureRecord {
  readonly id: string;
  readonly jobId: string;
  readonly picture: Blob;
}

/** The data sheet of a film, kept here for when the server is away. */
interface SheetRecord {
  readonly filmId: string;
  /** When it was kept on the server: another one is fetched anew. */
  readonly changedAt: string;
  readonly sheet: Blob;
}

interface Kept extends DBSchema {
  sheets: { key: string; value: SheetRecord };
  pictures: { key: string; value: PictureRecord; indexes: { job: string } };
  waiting: { key: string; value: WaitingRecord; indexes: { job: string } };
  drafts: { key: string; value: DraftRecord };
}

export type BrowserStore = IDBPDatabase<Kept>;

const NAME = 'yellow-pane';
let opened: Promise<BrowserStore> | undefined;

/** The database of this browser. Rejects while the browser refuses one; asked again, it tries again. */
export function browserStore(): Promise<BrowserStore> {
  opened ??= openDB<Kept>(NAME, 3, {
    upgrade(store, from) {
      if (from < 1) {
        store.createObjectStore('waiting', { keyPath: 'id' }).createIndex('job', 'jobId');
        store.createObjectStore('drafts', { keyPath: 'key' });
      }
      if (from < 2) store.createObjectStore('pictures', { keyPath: 'id' }).createIndex('job', 'jobId');
      store.createObjectStore('sheets', { keyPath: 'filmId' });
    },
    terminated() {
      opened = undefined;
    },
  });
  opened.catch(() => {
    opened = undefined;
  });
  return opened;
}

export interface RoomLeft {
  readonly used_bytes: number;
  readonly most_bytes: number;
}

/**
 * Asks the browser not to throw away what is kept, and how much room there is; undefined where it does not
 * tell.
 */
export async function askToKeep(): Promise<RoomLeft | undefined> {
  /** Not there on pages that came over an open line. */
  const storage = globalThis.navigator.storage as StorageManager | undefined;
  try {
    await storage?.persist();
    const { usage, quota } = (await storage?.estimate()) ?? {};
    return usage === undefined || quota === undefined ? undefined : { used_bytes: usage, most_bytes: quota };
  } catch {
    return undefined;
  }
}
