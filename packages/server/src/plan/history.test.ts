import fc from 'fast-check';
import { mostFacts, type EditFact } from '@wide-fern/contract';
import { thinned, type DatedVersion } from './history';

const now = new Date('2026-12-01T20:00:00Z');
const hours = (count: number) => new Date(now.getTime() - count * 3_600_000);
const fact = (name: string): EditFact => ({ code: 'taken-out', name });
const at = (version: number, savedAt: Date): DatedVersion => ({
  version,
  savedAt,
  edits: [fact(`of ${version}`)],
});

describe('what is kept of a plan’s versions', () => {
  it('is all of the last hour', () => {
    const recent = [at(1, hours(0.9)), at(2, hours(0.899)), at(3, hours(0))];
    expect(thinned(recent, now)).toEqual(recent);
  });
  it('is the last of those that lie close together, with what was done in all', () => {
    // Ten minutes in the hours before, an hour in the days before, then a day.
    const old = [
      at(1, hours(500)),
      at(2, hours(499.9)),
      at(3, hours(30)),
      at(4, hours(2.01)),
      at(5, hours(2)),
    ];
    expect(thinned(old, now).map(({ version, edits }) => [version, edits.length])).toEqual([
      [2, 2],
      [3, 1],
      [4, 1],
      [5, 1],
    ]);
    expect(thinned(old, now)[0]?.edits).toEqual([fact('of 1'), fact('of 2')]);
  });
  it('never thins out a plan that is kept for a name alone', () => {
    const old = [{ ...at(1, hours(500)), whole: true }, at(2, hours(499.9)), at(3, hours(499.8))];
    expect(thinned(old, now).map(({ version }) => version)).toEqual([1, 3]);
    const later = [at(1, hours(500)), { ...at(2, hours(499.9)), whole: true }];
    expect(thinned(later, now).map(({ version }) => version)).toEqual([2]);
  });
  it('keeps the newest, the order, and no more facts than a save may bring', () => {
    const ages = fc.array(fc.integer({ min: 0, max: 3000 }), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(ages, (some) => {
        const all = [...some].sort((a, b) => b - a).map((age, i) => at(i + 1, hours(age / 10)));
        const kept = thinned(all, now);
        expect(kept.at(-1)?.version).toBe(all.at(-1)?.version);
        const versions = kept.map(({ version }) => version);
        expect(versions).toEqual([...versions].sort((a, b) => a - b));
        expect(kept.every(({ edits }) => edits.length <= mostFacts)).toBe(true);
        // Thinning out twice changes nothing.
        expect(thinned(kept, now)).toEqual(kept);
      }),
    );
  });
});
