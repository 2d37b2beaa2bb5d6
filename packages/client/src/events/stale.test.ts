import { choirEventSchema, type ChangeKind } from '@wide-fern/contract';
import { keyOf } from '../queries';
import { staleAfter } from './stale';

const choir = '2c1f0b7e-5f4e-4c58-9d7a-0a4a6b0f6f11';
const evening = '7a0d6f0c-7d0a-4a0f-8a55-1b2b3c4d5e6f';
const other = '0b9f6e1d-31f4-4a3d-9c0e-6f5e4d3c2b1a';
const item = 'warm-up';

/** Whether an event makes a query stale, as the cache tells it. */
function isStale(key: readonly string[], kind: ChangeKind, more: object = {}): boolean {
  return staleAfter(choir, { id: 1, kind, ...more }).some(
    ({ queryKey, exact }) =>
      queryKey.every((word, i) => key[i] === word) && (!exact || queryKey.length === key.length),
  );
}
const plan = keyOf('showPlan', { choir, evening, item });
const shown = keyOf('showEvening', { choir, evening });

describe('after a change elsewhere', () => {
  it('a plan is fetched again, and no plan of another evening', () => {
    expect(isStale(plan, 'plan', { evening, item })).toBe(true);
    expect(
      isStale(keyOf('listPlanVersions', { choir, evening, item }), 'plan', { evening, item }),
    ).toBe(true);
    expect(
      isStale(keyOf('showPlan', { choir, evening: other, item }), 'plan', { evening, item }),
    ).toBe(false);
    expect(isStale(shown, 'plan', { evening, item })).toBe(false);
  });

  it('a touch changes its run alone; what is learned is another when a run is over', () => {
    const events = keyOf('showRunEvents', { choir, evening, item, run: other });
    const learned = [keyOf('listLedOnce', { choir }), keyOf('showLogbook', { choir })];
    expect(isStale(events, 'run', { evening, item })).toBe(true);
    expect(learned.map((key) => isStale(key, 'run', { evening, item }))).toEqual([false, false]);
    expect(learned.map((key) => isStale(key, 'led'))).toEqual([true, true]);
    expect(isStale(events, 'led')).toBe(false);
    // Where nothing but events came, neither another run nor the list of them is another now.
    const came = { evening, item, run: other, events: 4 };
    expect(isStale(events, 'run', came)).toBe(true);
    const list = keyOf('listRuns', { choir, evening, item });
    expect([isStale(list, 'run', { evening, item }), isStale(list, 'run', came)]).toEqual([
      true,
      false,
    ]);
    expect(
      isStale(keyOf('showRunEvents', { choir, evening, item, run: evening }), 'run', came),
    ).toBe(false);
  });

  it('who is here changes the sections of that evening, not its plans', () => {
    expect(isStale(shown, 'presence', { evening })).toBe(true);
    for (const name of ['showPresence', 'showSureness'] as const) {
      expect(isStale(keyOf(name, { choir, evening }), 'presence', { evening })).toBe(true);
    }
    expect(isStale(plan, 'presence', { evening })).toBe(false);
  });

  it('a card that came in changes its piece, and whose cards are awaited', () => {
    const judgings = keyOf('listJudgings', { choir, piece: other });
    const awaited = keyOf('listAwaited', { choir });
    expect([judgings, awaited].map((key) => isStale(key, 'piece', { piece: other }))).toEqual([
      ...[true, true],
    ]);
    expect(isStale(judgings, 'piece', { piece: evening })).toBe(false);
    expect(isStale(awaited, 'run', { evening, item })).toBe(false);
  });

  it('what rests on singers is fetched again with them', () => {
    for (const name of ['showVoices', 'listSingers', 'listEvenings'] as const) {
      expect(isStale(keyOf(name, { choir }), 'singers')).toBe(true);
    }
    expect(isStale(shown, 'singers')).toBe(true);
    expect(isStale(keyOf('listPieces', { choir }), 'singers')).toBe(false);
  });

  it('a piece changes itself, the list, and what evenings ask', () => {
    expect(isStale(keyOf('showPiece', { choir, piece: other }), 'piece', { piece: other })).toBe(
      true,
    );
    expect(isStale(keyOf('showPiece', { choir, piece: evening }), 'piece', { piece: other })).toBe(
      false,
    );
    expect(isStale(keyOf('listPieces', { choir }), 'piece', { piece: other })).toBe(true);
    expect(isStale(shown, 'piece', { piece: other })).toBe(true);
  });

  it('no change is without effect, and none reaches another choir', () => {
    for (const kind of choirEventSchema.shape.kind.options) {
      const stale = staleAfter(choir, { id: 1, kind });
      expect(stale.length).toBeGreaterThan(0);
      for (const { queryKey } of stale) {
        expect(queryKey[0] === 'session' || queryKey[1] === choir).toBe(true);
      }
    }
  });
});
