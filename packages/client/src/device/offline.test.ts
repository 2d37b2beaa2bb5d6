import { forgetAnswers, keepReadable, keptStore, noteAnswer, noteStored } from './offline';

const answer = (keptAt?: string) => ({
  headers: new Headers(keptAt === undefined ? {} : { 'X-Kept-At': keptAt }),
});

describe('what can be read without a connection', () => {
  it('is told by each answer, and over with the next one of the server', () => {
    noteAnswer(answer('2026-12-01T19:12:00.000Z'));
    expect(keptStore.getState().keptAt).toBe('2026-12-01T19:12:00.000Z');
    noteAnswer(answer());
    expect(keptStore.getState().keptAt).toBeNull();
  });
  it('asks nothing of a browser that cannot keep it', async () => {
    await expect(keepReadable()).resolves.toBeUndefined();
    await expect(forgetAnswers()).resolves.toBeUndefined();
    expect(() => noteStored('/api/session')).not.toThrow();
  });
});
