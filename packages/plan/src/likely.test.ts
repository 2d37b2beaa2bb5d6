import type { LedOnce } from '@wide-fern/contract';
import fc from 'fast-check';
import { documentOf } from './testing';
import { evaluate } from './evaluate';
import { ledTimes, longerBy, withLikely } from './likely';

const plan = evaluate(documentOf('coat-off', 'slate-steps', 'pulley'), 600);
const led = (exercise: string, day: number, more: Partial<LedOnce> = {}): LedOnce => ({
  exercise,
  ledAt: `2026-11-${String(day).padStart(2, '0')}T18:30:00.000Z`,
  ...{ talk: 20, coach: 0, after: 0, singing: 60, planned: 60, strained: [] },
  ...{ managed: null, keys: 0, breath: null },
  ...more,
});
const talkOf = (id: string) =>
  plan.segments.find(({ segment }) => segment.exercise.id === id)!.computed.talk;
const mean = (all: readonly LedOnce[], marks = {}) =>
  withLikely(plan, ledTimes(all, marks)).likely.mean;

describe('the likely end by what was led', () => {
  it('is the planned one where nothing was', () => {
    expect(withLikely(plan, ledTimes([]))).toEqual(plan);
    expect(plan.likely.mean).toBeCloseTo(plan.total);
  });
  it('moves with the talk of an exercise by three parts of the plan and one of each evening', () => {
    const talk = talkOf('slate-steps');
    const longer = [led('slate-steps', 3, { talk: talk + 40 })];
    expect(mean(longer) - plan.total).toBeCloseTo(10);
    // What was refused counts no more.
    const marks = { 'slate-steps': { learnedFrom: '2026-11-10T00:00:00.000Z' } };
    expect(mean(longer, marks)).toBeCloseTo(plan.total);
  });
  it('moves with the pace of an exercise, and with that of all for those never led', () => {
    const slower = [led('pulley', 3, { talk: talkOf('pulley'), singing: 84, planned: 60 })];
    // (3 × 1 + 1.4)/4: a tenth more, of the exercise itself and of the two others.
    const sung = plan.segments.reduce(
      (sum, { computed }) => sum + computed.seconds - computed.talk,
      0,
    );
    expect(mean(slower) - plan.total).toBeCloseTo(0.1 * sung);
    const others = [
      ...slower,
      led('slate-steps', 3, { talk: talkOf('slate-steps') }),
      led('coat-off', 3, { talk: talkOf('coat-off') }),
    ];
    const pulley = plan.segments.find(({ segment }) => segment.exercise.id === 'pulley')!.computed;
    expect(mean(others) - plan.total).toBeCloseTo(0.1 * (pulley.seconds - pulley.talk));
  });
  it('is less sure of what varies, and a chance of being on time that falls as it grows', () => {
    const evenly = [1, 2, 3, 4].map((day) => led('pulley', day, { talk: 20 }));
    const unevenly = [1, 2, 3, 4].map((day) => led('pulley', day, { talk: day % 2 ? 0 : 240 }));
    const spread = (all: readonly LedOnce[]) => withLikely(plan, ledTimes(all)).likely.spread;
    expect(spread(unevenly)).toBeGreaterThan(spread(evenly));
    const chance = (talk: number) =>
      withLikely(plan, ledTimes([led('pulley', 1, { talk })])).chanceOnTime;
    expect(chance(20)).toBeGreaterThan(chance(900));
  });
  it('is worth a word where it makes the plan late', () => {
    const by = (longer: number, chanceOnTime: number) =>
      longerBy({ total: 600, chanceOnTime, likely: { ...plan.likely, mean: 600 + longer } });
    expect([by(53, 0.3), by(53, 0.6), by(15, 0.3), by(-60, 0.3)]).toEqual([
      ...[53, undefined, undefined, undefined],
    ]);
  });
  it('sums what is thought of each: the mean and the variance by hand', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 200 }), { maxLength: 8 }), (talks) => {
        const all = talks.map((talk, i) => led('slate-steps', i + 1, { talk, planned: 0 }));
        const [mean, variance] = plan.segments.reduce(
          ([means, variances], { segment, computed: { talk, seconds } }) => {
            const seen = segment.exercise.id === 'slate-steps' ? talks : [];
            const said = [talk, talk, talk, ...seen];
            const middle = said.reduce((sum, one) => sum + one, 0) / said.length;
            const squares = seen.reduce((sum, one) => sum + (one - middle) ** 2, 0);
            const spread = (3 * (0.4 * talk) ** 2 + squares) / said.length;
            const sung = seconds - talk;
            return [means + middle + sung, variances + spread + (0.08 * sung) ** 2];
          },
          [0, 0],
        );
        const { likely } = withLikely(plan, ledTimes(all));
        expect(likely.mean).toBeCloseTo(mean, 6);
        const least = (0.08 * mean) / (2 * 1.2815515655446004);
        expect(likely.spread).toBeCloseTo(Math.max(Math.sqrt(variance), least), 6);
      }),
    );
  });
});
