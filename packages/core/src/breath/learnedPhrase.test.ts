import fc from 'fast-check';
import { learnedPhrase, type Outflow } from './learnedPhrase';

const weekly = (...seconds: readonly number[]): Outflow[] =>
  seconds.map((one, week) => ({ day: 7 * week, seconds: one }));
const outflows = fc.array(
  fc.record({
    day: fc.double({ min: 0, max: 400, noNaN: true }),
    seconds: fc.double({ min: 3, max: 40, noNaN: true }),
  }),
  { maxLength: 20 },
);

describe('the comfortable phrase by what was breathed out', () => {
  it('is the mean of the last four evenings, and nothing below four', () => {
    expect(learnedPhrase(weekly(8, 8, 10))).toBeUndefined();
    expect(learnedPhrase(weekly(8, 8, 10, 10))).toBe(9);
    expect(learnedPhrase(weekly(30, 8, 8, 10, 10))).toBe(9);
  });

  it('grows by no more than a second a week, and falls at once', () => {
    expect(learnedPhrase(weekly(8, 8, 8, 8, 24))).toBe(9);
    expect(learnedPhrase(weekly(8, 8, 8, 8, 24, 24))).toBe(10);
    // Two weeks without a rehearsal: two seconds.
    expect(learnedPhrase([...weekly(8, 8, 8, 8), { day: 35, seconds: 24 }])).toBe(10);
    expect(learnedPhrase(weekly(20, 20, 20, 20, 8))).toBe(17);
  });

  it('lies among what was breathed out lately, does not depend on the order, and never leaps', () => {
    fc.assert(
      fc.property(outflows, fc.double({ min: 3, max: 40, noNaN: true }), (all, more) => {
        const found = learnedPhrase(all);
        expect(found === undefined).toBe(all.length < 4);
        if (found === undefined) return;
        // Two on the very same moment have no order of their own.
        fc.pre(new Set(all.map(({ day }) => day)).size === all.length);
        expect(learnedPhrase([...all].reverse())).toBe(found);
        const seconds = all.map((one) => one.seconds);
        expect(found).toBeLessThanOrEqual(Math.max(...seconds) + 1e-9);
        expect(found).toBeGreaterThanOrEqual(Math.min(...seconds) - 1e-9);
        const day = Math.max(...all.map((one) => one.day)) + 7;
        expect(learnedPhrase([...all, { day, seconds: more }])!).toBeLessThanOrEqual(
          found + 1 + 1e-9,
        );
      }),
    );
  });
});
