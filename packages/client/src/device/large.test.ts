import { IDBFactory } from 'fake-indexeddb';

type Large = typeof import('./large');

/** The module as a page has it that was opened just now. */
async function opened(indexedDB: IDBFactory | undefined): Promise<Large> {
  await import('fake-indexeddb/auto');
  Object.defineProperty(globalThis, 'indexedDB', { value: indexedDB, configurable: true });
  const { forgetLarge, hasLarge, keepLarge, readLarge } = await import('./large');
  return { forgetLarge, hasLarge, keepLarge, readLarge };
}

describe('what is large and kept on the device', () => {
  let large: Large;
  beforeAll(async () => {
    large = await opened(new IDBFactory());
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
