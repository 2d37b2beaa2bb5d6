import type { SentAct, SentEvent } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';
import { documentOf, tonight } from '../testing/plans';
import { evaluate } from '../evaluate';
import { sectionsChange } from '../carryOver';
import { renewedHere } from './here';
import { ledPlan, planNow, runAt } from './now';

const document = documentOf('coat-off', 'pulley', 'slate-steps', 'lantern-chord');
const plan = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document });
const events = (...acts: readonly (readonly [number, SentAct])[]): SentEvent[] =>
  acts.map(([seconds, act], n) => ({ id: `e${n}`, n, at: 1000 * seconds, act }));
/** The high ones are not here yet: sopranos and tenors sing a fourth less far up. */
const lower: Tonight = {
  ...tonight,
  sections: tonight.sections.map((one) =>
    one.id === 'S' || one.id === 'T'
      ? { ...one, comfort: [one.comfort[0], one.comfort[1] - 5], singers: 5, away: 3 }
      : one,
  ),
};
const tonics = (now: ReturnType<typeof planNow>, id: string) =>
  now.segments.find(({ segment }) => segment.id === id)!.computed.repetitions.map((r) => r.tonic);

describe('who is here now', () => {
  const sofar = events(
    [0, { kind: 'opened', segment: 'coat-off' }],
    [40, { kind: 'opened', segment: 'slate-steps' }],
    [60, { kind: 'began', key: 0 }],
    [75, { kind: 'began', key: 1 }],
  );
  const state = runAt(plan, sofar);
  const act = renewedHere(planNow(plan, sofar, state).document, lower, state);
  const all = [...sofar, { id: 'here', n: 4, at: 80_000, act }];
  const after = runAt(plan, all);
  const now = planNow(plan, all, after);

  it('what remains is sought anew for them, as if it were planned for them', () => {
    expect(now.document.tonight).toEqual(lower);
    const forThem = evaluate({ ...document, tonight: lower }, 900);
    expect(tonics(now, 'lantern-chord')).toEqual(tonics(forThem, 'lantern-chord'));
    expect(sectionsChange(now.document, lower)).toBeUndefined();
  });

  it('what is being sung goes on where it is, in the keys it began with', () => {
    expect(after.key).toBe(1);
    expect(after.segments.map(({ id }) => id)).toEqual(state.segments.map(({ id }) => id));
    const [before] = [tonics(planNow(plan, sofar, state), 'slate-steps')];
    expect(tonics(now, 'slate-steps')[0]).toBe(before[0]);
    // What is led and what is shown are the same keys.
    for (const { id, keys } of after.segments.slice(after.open)) {
      const shown = tonics(now, id);
      if (shown.length > 1) expect(keys.map(({ tonic }) => tonic)).toEqual(shown);
    }
    expect(after.records[0]).toEqual(state.records[0]);
  });

  it('taken back, everything is as it was', () => {
    const back = [...all, { id: 'u', n: 5, at: 81_000, act: { kind: 'undone', event: 'here' } }];
    const undone = runAt(plan, back as SentEvent[]);
    expect(undone.segments).toEqual(state.segments);
    expect(planNow(plan, back as SentEvent[], undone).document).toBe(document);
  });

  it('before the first, everything is sought anew', () => {
    const none = runAt(plan, []);
    const { rest } = renewedHere(document, lower, none);
    expect(rest.map(({ id }) => id)).toEqual(document.segments.map(({ id }) => id));
  });
});
