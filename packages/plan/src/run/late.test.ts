import type { SentAct, SentEvent } from '@wide-fern/contract';
import type { Offer } from '../building/adjust';
import { documentOf } from '../testing/plans';
import { renewedBy, restOfOpen, spareOf, standingOf } from './late';
import { ledPlan, planNow, runAt } from './now';

const document = documentOf('coat-off', 'pulley', 'slate-steps', 'lantern-chord');
const plan = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document });
const events = (...acts: readonly (readonly [number, SentAct])[]): SentEvent[] =>
  acts.map(([seconds, act], n) => ({ id: `e${n}`, n, at: 1000 * seconds, act }));
const opened = (segment: string): SentAct => ({ kind: 'opened', segment });
const none = { seconds: {}, open: [], reached: {}, points: 0 };

/** Leaves the last but one out, and has the last one in three keys. */
const offer: Offer = {
  kind: 'late',
  segments: [
    {
      segment: 'lantern-chord',
      exercise: document.segments[3]!.exercise,
      choices: { ...document.segments[3]!.choices, repetitions: 3 },
      change: 'shorter',
    },
  ],
  out: ['slate-steps'],
  ...{ planned: 200, seconds: 80, before: 90, points: 80, had: none, served: none },
};

describe('when it is late', () => {
  const late = events(
    [0, opened('coat-off')],
    [200, { kind: 'began', key: 0 }],
    [300, opened('pulley')],
  );
  const state = runAt(plan, late, 310_000);

  it('what is spared is what is left after all that remains', () => {
    const whole = planNow(plan, [], runAt(plan, [])).total;
    expect(spareOf(runAt(plan, []), whole + 40)).toBeCloseTo(40, 6);
    expect(spareOf(state, 900)).toBeLessThan(spareOf(runAt(plan, []), 900) - 150);
  });

  it('an offer rests on what was not opened yet, and the time after what is going on', () => {
    const { sung, left } = standingOf(state, 900);
    expect(sung).toEqual(['coat-off', 'pulley']);
    expect(left).toBeCloseTo(900 - 310 - restOfOpen(state), 6);
    expect(restOfOpen(state)).toBeGreaterThan(0);
    expect(standingOf(runAt(plan, []), 900)).toEqual({ sung: [], left: 900 });
  });

  it('taking it puts anew what remains, and undoing it brings that back', () => {
    const act = renewedBy(document, offer, standingOf(state, 900), () => 'new')!;
    const taken = [...late, { id: 'o', n: 3, at: 311_000, act }];
    const after = runAt(plan, taken);
    expect(after.segments.map(({ id }) => id)).toEqual(['coat-off', 'pulley', 'lantern-chord']);
    expect(after.segments[2]!.keys).toHaveLength(3);
    expect(after).toMatchObject({ open: 1, key: null });
    const now = planNow(plan, taken, after);
    expect(now.segments.map(({ segment }) => segment.choices.repetitions)).toEqual([
      ...document.segments.slice(0, 2).map(({ choices }) => choices.repetitions),
      3,
    ]);
    expect(spareOf(after, 900)).toBeGreaterThan(spareOf(state, 900));
    const undone: SentEvent = {
      ...{ id: 'u', n: 4, at: 312_000 },
      act: { kind: 'undone', event: 'o' },
    };
    const back = runAt(plan, [...taken, undone]);
    expect(back.segments).toEqual(plan.segments);
    expect(planNow(plan, [...taken, undone], back).document).toBe(document);
  });
});
