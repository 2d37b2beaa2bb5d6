import fc from 'fast-check';
import { keyMoment } from './keyMoment';
import { repetitionTimes, type PatternTiming } from './segment';

describe('where a key is', () => {
  const sung: PatternTiming = {
    keys: 3,
    verses: 2,
    patternBeats: 8,
    breathBeats: 4,
    countIn: 4,
    keyChangeBeats: 4,
    demonstrate: 'each key',
    coach: 20,
    tempo: 120,
    talk: 30,
  };
  const at = (key: number, since: number) => keyMoment(sung, key, since);
  it.each([
    // Shown, counted in, sung, a breath, sung again.
    [0, 0, 'listen', 0],
    [0, 4, 'count-in', 0],
    [0, 6, 'text', 0],
    [0, 10, 'breath', 1],
    [0, 12, 'text', 1],
    // The chord, shown, sung; what is said between two keys is before the touch.
    [1, 0, 'breath', 2],
    [1, 2, 'listen', 2],
    [1, 6, 'text', 2],
    [1, 12, 'text', 3],
    [2, 12, 'text', 5],
  ])('key %s, %s s after it was begun', (key, since, of, repetition) => {
    expect(at(key, since)).toMatchObject({ of, repetition });
  });
  it('is over after the last time, and for a key that is not there', () => {
    expect(at(0, 16)).toBe('over');
    expect(at(2, 16)).toBe('over');
    expect(at(2, 500)).toBe('over');
    expect(at(3, 0)).toBe('over');
  });
  it('sings every time of every key for exactly as long as it lasts', () => {
    const some = fc.record({
      keys: fc.integer({ min: 1, max: 4 }),
      verses: fc.integer({ min: 1, max: 3 }),
      patternBeats: fc.integer({ min: 1, max: 12 }),
      breathBeats: fc.integer({ min: 0, max: 4 }),
      keyChangeBeats: fc.integer({ min: 0, max: 4 }),
      countIn: fc.integer({ min: 0, max: 4 }),
      countInEach: fc.boolean(),
      demonstrate: fc.constantFrom('no' as const, 'once' as const, 'each key' as const),
      coach: fc.integer({ min: 0, max: 20 }),
      tempo: fc.integer({ min: 40, max: 160 }),
      tempoStep: fc.integer({ min: 0, max: 12 }),
    });
    fc.assert(
      fc.property(some, (timing) => {
        const times = repetitionTimes(timing);
        for (let key = 0; key < timing.keys; key += 1) {
          const own = times.filter((one) => one.key === key);
          const step = 0.05;
          let since = 0;
          const heard = own.map(() => 0);
          while (keyMoment(timing, key, since) !== 'over') {
            const moment = keyMoment(timing, key, since);
            if (moment !== 'over' && moment.of === 'text') {
              heard[moment.repetition - key * timing.verses]! += step;
            }
            since += step;
          }
          own.forEach(({ seconds }, i) => {
            expect(Math.abs(heard[i]! - seconds)).toBeLessThan(2 * step);
          });
        }
      }),
      { numRuns: 40 },
    );
  });
});
