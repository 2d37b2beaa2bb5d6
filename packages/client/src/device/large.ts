import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What is kept of large things: by a key, the least lately used going first. */
interface Large extends DBSchema {
  readonly kept: {
    readonly key: string;
    readonly value: { readonly key: string; readonly used: number; readonly value: unknown };
    readonly indexes: { readonly used: number };
  };
}

const most = 40;
let database: Promise<IDBPDatabase<Large>> | undefined;
const opened = (): Promise<IDBPDatabase<Large>> =>
  (database ??= openDB<Large>('wide-fern', 1, {
    upgrade(db) {
      db.createObjectStore('kept', { keyPath: 'key' }).createIndex('used', 'used');
    },
  }));

/** Something large that was made once from what never changes, such as a kept file; undefined when it is not here. */
export async function readLarge(key: string): Promise<unknown> {
  try {
    const db = await opened();
    const found = await db.get('kept', key);
    if (found) await db.put('kept', { ...found, used: Date.now() });
    return found?.value;
  } catch {
    // A private window keeps nothing: it is made anew.
    return undefined;
  }
}

/** Whether something large is here, without reading it. */
export async function hasLarge(key: string): Promise<boolean> {
  try {
    return (await (await opened()).count('kept', key)) > 0;
  } catch {
    return false;
  }
}

/** Keeps something large for the next time; what was not used for longest goes when there is too much. */
export async function keepLarge(key: string, value: unknown): Promise<void> {
  try {
    const db = await opened();
    await db.put('kept', { key, used: Date.now(), value });
    const count = await db.count('kept');
    let cursor = await db.transaction('kept', 'readwrite').store.index('used').openCursor();
    for (let over = count - most; over > 0 && cursor; over -= 1) {
      await cursor.delete();
      cursor = await cursor.continue();
    }
  } catch {
    // A full device or a private window: it is made anew the next time.
  }
}

/** Forgets everything large: whoever signs out leaves no scores behind. */
export async function forgetLarge(): Promise<void> {
  try {
    await (await opened()).clear('kept');
  } catch {
    // There was nothing.
  }
}
