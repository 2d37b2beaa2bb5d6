import { documentOf } from '@wide-fern/plan/testing';
import { dropDraft, dropOwnDraft, findDraft, keepDraft } from './drafts';

const place = { choir: 'c', evening: 'e', item: 'warm-up' };
const draft = (changedAt: string, account = 'a') => ({
  version: 1,
  document: documentOf('coat-off'),
  changedAt,
  account,
});
const nobodyOpen = () => false;

describe('drafts', () => {
  beforeEach(() => localStorage.clear());

  it('are found again, the newest of closed windows first', () => {
    keepDraft(place, 'w1', draft('2026-01-01'));
    keepDraft(place, 'w2', draft('2026-01-03'));
    keepDraft(place, 'w3', draft('2026-01-05'));
    const found = findDraft(place, 'a', (window) => window === 'w3');
    expect(found?.changedAt).toBe('2026-01-03');
    dropDraft(found!.key);
    expect(findDraft(place, 'a', (window) => window === 'w3')?.changedAt).toBe('2026-01-01');
  });

  it('belong to one plan and one person', () => {
    keepDraft(place, 'w1', draft('2026-01-01', 'someone else'));
    keepDraft({ ...place, evening: 'other' }, 'w1', draft('2026-01-01'));
    expect(findDraft(place, 'a', nobodyOpen)).toBeUndefined();
  });

  it('that are damaged are passed over', () => {
    keepDraft(place, 'w1', draft('2026-01-01'));
    const [key] = Object.keys(localStorage);
    localStorage.setItem(key!, '{"document": 1');
    expect(findDraft(place, 'a', nobodyOpen)).toBeUndefined();
    localStorage.setItem(key!, JSON.stringify({ ...draft('2026-01-01'), document: { schema: 9 } }));
    expect(findDraft(place, 'a', nobodyOpen)).toBeUndefined();
  });

  it('are dropped when the server has them', () => {
    keepDraft(place, 'w1', draft('2026-01-01'));
    dropOwnDraft(place, 'w1');
    expect(Object.keys(localStorage)).toEqual([]);
  });
});
