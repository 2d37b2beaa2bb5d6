import fc from 'fast-check';
import type { PitchRange } from '../units';
import { arrangements } from './arrangements';
import { mixedChoir } from './parts';
import { possibleParts, type PartOffer } from './suggest';

const named = (comfort: PitchRange) =>
  possibleParts(comfort, mixedChoir).map(({ part, score }) => [part, score]);

describe('possibleParts', () => {
  it('finds the part whose comfort a singer has', () => {
    for (const { id, comfort } of mixedChoir) expect(named(comfort)[0]?.[0]).toBe(id);
  });
  it('takes two points for each note that is missed at the telling end', () => {
    // Altos: 16 shared less two low ones twice; sopranos: 15 less three high ones twice; tenors: 9.
    expect(named([59, 76])).toEqual([
      ['A', 12],
      ['S', 9],
      ['T', 9],
    ]);
    expect(named([62, 76])).toEqual([
      ['S', 9],
      ['T', 6],
    ]);
    expect(named([57, 79])).toEqual([
      ['S', 18],
      ['A', 18],
    ]);
  });
  it('names every part within three points of the best, by falling score', () => {
    // 17 shared less two for one note, of the sopranos' at the top and of the altos' at the bottom.
    expect(named([58, 78])).toEqual([
      ['S', 15],
      ['A', 15],
    ]);
    expect(named([59, 78])).toEqual([
      ['S', 15],
      ['A', 12],
    ]);
    expect(named([60, 78])).toEqual([['S', 15]]);
  });
  it('has an answer for a singer who has no note of any part', () => {
    expect(possibleParts([20, 22], mixedChoir)[0]).toMatchObject({
      part: 'A',
      shared: 0,
      score: 0,
    });
    expect(() => possibleParts([60, 70], [])).toThrow(RangeError);
  });
  it('agrees with counting note by note', () => {
    const range = fc
      .tuple(fc.integer({ min: 36, max: 80 }), fc.nat(24))
      .map(([low, width]): PitchRange => [low, low + width]);
    const offers = fc
      .array(fc.tuple(range, fc.constantFrom('top' as const, 'bottom' as const)), {
        minLength: 1,
        maxLength: 8,
      })
      .map((all) => all.map(([comfort, end], i): PartOffer => ({ id: `P${i}`, comfort, end })));
    fc.assert(
      fc.property(range, offers, (own, parts) => {
        const holds = ([low, high]: PitchRange, x: number) => low <= x && x <= high;
        const scores = parts.map(({ comfort, end }) => {
          let score = 0;
          for (let x = 0; x < 128; x += 1) {
            if (!holds(comfort, x)) continue;
            if (holds(own, x)) score += 1;
            else if (end === 'top' ? x > own[1] : x < own[0]) score -= 2;
          }
          return score;
        });
        const best = Math.max(...scores);
        const wanted = parts
          .map(({ id }, i) => ({ part: id, score: scores[i]!, i }))
          .filter(({ score }) => score >= best - 3)
          .sort((a, b) => b.score - a.score || a.i - b.i)
          .map(({ part, score }) => ({ part, score }));
        const found = possibleParts(own, parts).map(({ part, score }) => ({ part, score }));
        expect(found).toEqual(wanted);
      }),
      { numRuns: 300 },
    );
  });
});

describe('arrangements', () => {
  it('have two to eight parts whose figures lie in order, each with a name of its own', () => {
    expect(arrangements.map(({ id }) => id)).toEqual([...new Set(arrangements.map((a) => a.id))]);
    for (const { parts } of arrangements) {
      expect(parts.length).toBeGreaterThanOrEqual(2);
      expect(parts.length).toBeLessThanOrEqual(8);
      expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
      for (const { comfort, reach } of parts) {
        expect(reach[0] <= comfort[0] && comfort[0] < comfort[1] && comfort[1] <= reach[1]).toBe(
          true,
        );
      }
    }
  });
});
