import * as fake from 'fake-indexeddb';
import type * as LargeModule from './large';

type Large = typeof LargeModule;

/** The module as a page has it that was opened just now, in a browser that has room. */
async function opened(): Promise<Large> {
  const {
    indexedDB,
    IDBCursor,
    IDBDatabase,
    IDBIndex,
    IDBObjectStore,
    IDBRequest,
    IDBTransaction,
  } = fake;
  Object.assign(globalThis, {
    indexedDB,
    IDBCursor,
    IDBDatabase,
    IDBIndex,
    IDBObjectStore,
    IDBRequest,
    IDBTransaction,
  });
  return import('./large');
}

describe('what is large and kept on the device', () => {
  let large: Large;
  beforeAll(async () => {
    large = await opened();
  });
  beforeEach(() => large.forgetLarge());

  it('is there the next time, as it was', async () => {
    const score = { bars: [1, 2, 3], title: 'Slate' };
    expect(await large.readLarge('a')).toBeUndefined();
    await large.keepLarge('a', score);
    expect(await large.hasLarge('a')).toBe(true);
    expect(await large.readLarge('a')).toEqual(score);
  });

  it('is forgotten when somebody signs out', async () => {
    await large.keepLarge('a', 1);
    await large.forgetLarge();
    expect(await large.hasLarge('a')).toBe(false);
    expect(await large.readLarge('a')).toBeUndefined();
  });

  it('makes room: forty are kept, and more go', async () => {
    for (let i = 0; i < 43; i += 1) await large.keepLarge(`k${i}`, i);
    const kept = await Promise.all(Array.from({ length: 43 }, (_, i) => large.hasLarge(`k${i}`)));
    expect(kept.filter(Boolean)).toHaveLength(40);
    expect(kept[42]).toBe(true);
  });
});
