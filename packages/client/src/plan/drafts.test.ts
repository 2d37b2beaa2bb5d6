import { documentOf } from '@wide-fern/plan/testing';
import { asideStore, forgetAside } from '../device/store';
import { dropDraft, findDraft, keepDraft } from './drafts';

const place = { choir: 'c', evening: 'e', item: 'warm-up' };
const draft = (changedAt: string, account = 'a') => ({
  version: 1,
  document: documentOf('coat-off'),
  base: null,
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
    dropDraft(place, found!.window);
    expect(findDraft(place, 'a', (window) => window === 'w3')?.changedAt).toBe('2026-01-01');
  });

  it('belong to one plan and one person', () => {
    keepDraft(place, 'w1', draft('2026-01-01', 'someone else'));
    keepDraft({ ...place, evening: 'other' }, 'w1', draft('2026-01-01'));
    expect(findDraft(place, 'a', nobodyOpen)).toBeUndefined();
  });

  it('of an older version of the program are brought up to the present one', () => {
    keepDraft(place, 'w1', draft('2026-01-01'));
    const [key] = Object.keys(localStorage);
    const { base: _, ...kept } = draft('2026-01-01');
    const { sections, ...rest } = kept.document.tonight;
    const old = { ...kept.document, schema: 1, tonight: { ...rest, bands: sections } };
    localStorage.setItem(key!, JSON.stringify({ ...kept, document: old }));
    expect(findDraft(place, 'a', nobodyOpen)).toMatchObject({
      document: kept.document,
      base: null,
    });
  });

  it('that cannot be read are put aside and said, never dropped', () => {
    keepDraft(place, 'w1', draft('2026-01-01'));
    const [key] = Object.keys(localStorage);
    const damaged = JSON.stringify({ ...draft('2026-01-01'), document: { schema: 9 } });
    for (const text of ['{"document": 1', damaged]) {
      localStorage.setItem(key!, text);
      expect(findDraft(place, 'a', nobodyOpen)).toBeUndefined();
      expect(localStorage.getItem(key!)).toBeNull();
      expect(asideStore.getState().aside).toEqual([
        { key: expect.stringContaining('aside'), kind: 'draft', text },
      ]);
      forgetAside(asideStore.getState().aside[0]!.key);
      expect(Object.keys(localStorage)).toEqual([]);
    }
  });

  it('are dropped when the server has them', () => {
    keepDraft(place, 'w1', draft('2026-01-01'));
    dropDraft(place, 'w1');
    expect(Object.keys(localStorage)).toEqual([]);
  });
});
