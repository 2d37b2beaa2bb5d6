import fc from 'fast-check';
import type { PitchRange } from '../units';
import { sectionComfort, type SingerRange } from './comfort';

const singer = (comfort: PitchRange, reach: PitchRange = comfort): SingerRange => ({
  comfort,
  reach,
});

describe('sectionComfort', () => {
  it('is the singer’s own range for a single singer', () => {
    expect(sectionComfort([singer([60, 72], [58, 75])])).toEqual({
      comfort: [60, 72],
      reach: [58, 75],
      suits: true,
    });
  });
  it('lets the outlier go when the share allows it', () => {
    const most = Array.from({ length: 6 }, () => singer([60, 76]));
    expect(sectionComfort([...most, singer([60, 70])], 0.85).comfort).toEqual([60, 76]);
    expect(sectionComfort([...most, singer([60, 70])], 1).comfort).toEqual([60, 70]);
  });
  it('counts 17 of 20 as 0.85', () => {
    const section = [
      ...Array.from({ length: 17 }, () => singer([60, 70])),
      ...Array.from({ length: 3 }, () => singer([60, 65])),
    ];
    expect(sectionComfort(section, 0.85).comfort).toEqual([60, 70]);
  });
  it('prefers the higher mean share, then the lower run', () => {
    const gap = [singer([60, 62]), singer([70, 72]), singer([70, 72])];
    expect(sectionComfort(gap, 0.3).comfort).toEqual([70, 72]);
    expect(sectionComfort([singer([60, 62]), singer([70, 72])], 0.5).comfort).toEqual([60, 62]);
  });
  it('says when no note suits the section, and shows where most are', () => {
    const apart = [singer([60, 62]), singer([62, 64]), singer([70, 71])];
    expect(sectionComfort(apart, 0.85)).toEqual({
      comfort: [62, 62],
      reach: [62, 62],
      suits: false,
    });
  });
  it('refuses an empty section and a share outside (0, 1]', () => {
    expect(() => sectionComfort([])).toThrow(RangeError);
    expect(() => sectionComfort([singer([60, 62])], 0)).toThrow(RangeError);
    expect(() => sectionComfort([singer([60, 62])], 1.2)).toThrow(RangeError);
  });

  it('agrees with trying every run of notes', () => {
    const range = fc
      .tuple(fc.integer({ min: 50, max: 64 }), fc.integer({ min: 0, max: 9 }))
      .map(([low, width]): PitchRange => [low, low + width]);
    fc.assert(
      fc.property(
        fc.array(range, { minLength: 1, maxLength: 9 }),
        fc.constantFrom(0.25, 0.5, 0.6, 0.75, 0.85, 1),
        (ranges, share) => {
          const held = (x: number) => ranges.filter(([l, h]) => l <= x && x <= h).length;
          const suits = (x: number) => held(x) >= share * ranges.length - 1e-9;
          const most = Math.max(...Array.from({ length: 60 }, (_, i) => held(40 + i)));
          const some = Array.from({ length: 60 }, (_, i) => 40 + i).some(suits);
          const good = (x: number) => (some ? suits(x) : held(x) === most);
          let best: { low: number; high: number; sum: number } | undefined;
          for (let low = 40; low < 100; low += 1) {
            let sum = 0;
            for (let high = low; high < 100 && good(high); high += 1) {
              sum += held(high);
              const longer = best ? high - low - (best.high - best.low) : 1;
              if (longer > 0 || (longer === 0 && best && sum > best.sum)) best = { low, high, sum };
            }
          }
          expect(
            sectionComfort(
              ranges.map((r) => singer(r)),
              share,
            ),
          ).toEqual({
            comfort: [best?.low, best?.high],
            reach: [best?.low, best?.high],
            suits: some,
          });
        },
      ),
      { numRuns: 400 },
    );
  });
});
