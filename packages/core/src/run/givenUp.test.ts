import fc from 'fast-check';
import { givenUp, strainedIn, type Strained } from './givenUp';

const mark = (part: string | null, word: string, tonic: number | null) => ({
  ...{ part, word, tonic, key: 0 },
});

describe('what parts gave up', () => {
  it('is the lowest key in which each strained, and nothing else that was marked', () => {
    const marks = [
      mark('A', 'strained', 64),
      mark('A', 'strained', 62),
      mark('S', 'strained', 66),
      mark('T', 'worked', 60),
      mark(null, 'strained', 60),
      mark('B', 'strained', null),
    ];
    expect(strainedIn({ marks })).toEqual([
      { part: 'A', tonic: 62 },
      { part: 'S', tonic: 66 },
    ]);
  });
  it('is told with the times it was so', () => {
    const led: Strained[][] = [
      [{ part: 'A', tonic: 63 }],
      [],
      [
        { part: 'A', tonic: 62 },
        { part: 'S', tonic: 70 },
      ],
      [{ part: 'A', tonic: 64 }],
      [{ part: 'A', tonic: 50 }],
    ];
    expect(givenUp(led)).toEqual([{ part: 'A', tonic: 62, times: [0, 2, 3] }]);
    expect(givenUp(led.slice(2))).toHaveLength(2);
    expect(givenUp([])).toEqual([]);
  });
  it('is never a key that nobody strained in', () => {
    const strained = fc.array(
      fc.record({
        part: fc.constantFrom('S', 'A', 'T', 'B'),
        tonic: fc.integer({ min: 50, max: 80 }),
      }),
      { maxLength: 3 },
    );
    fc.assert(
      fc.property(fc.array(strained, { maxLength: 7 }), (led) => {
        for (const { part, tonic, times } of givenUp(led)) {
          const of = times.flatMap((time) => led[time]!.filter((one) => one.part === part));
          expect(tonic).toBe(Math.min(...of.map((one) => one.tonic)));
          expect(Math.min(...times)).toBeLessThan(2);
        }
      }),
    );
  });
});
