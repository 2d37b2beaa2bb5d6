import type { LedOnce } from '@wide-fern/contract';
import { likelyLength } from '@wide-fern/core';
import fc from 'fast-check';
import { documentOf } from '../testing';
import { evaluate } from './evaluate';
import { ledTimes, withLikely } from './likely';

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
    const sung = plan.segments.reduce((sum, { computed }) => sum + computed.seconds - computed.talk, 0);
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
  it('is at 10 and at 90 of 100 evenings drawn from what is thought of each exercise', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 90 }), { minLength: 1, maxLength: 6 }), (talks) => {
        const { likely } = withLikely(
          plan,
          ledTimes(talks.map((talk, i) => led('slate-steps', i + 1, { talk }))),
        );
        const { early, late, spread } = likelyLength([{ mean: likely.mean, variance: likely.spread ** 2 }]);
        expect([likely.early, likely.late, likely.spread]).toEqual([
          expect.closeTo(early, 6),
          expect.closeTo(late, 6),
          expect.closeTo(spread, 6),
        ]);
      }),
    );
  });
});
