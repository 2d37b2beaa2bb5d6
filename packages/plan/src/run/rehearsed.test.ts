import type { SentAct, SentEvent } from '@wide-fern/contract';
import { documentOf } from '../testing/plans';
import { ledPlan, planNow, runAt } from './now';
import { rehearsed, saidWord, slipsNow, timesBegun } from './rehearsed';
import { simulatedRun } from './simulated';

const document = documentOf('coat-off', 'pulley', 'slate-steps');
const led = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document });
const run = (...acts: readonly SentAct[]): SentEvent[] =>
  acts.map((act, n) => ({ id: `e${n}`, n, at: 10_000 * n, act }));
const opened = (segment: string): SentAct => ({ kind: 'opened', segment });
const began = (key: number): SentAct => ({ kind: 'began', key });
const all = { seed: 1, rate: 1 };
const ended: SentAct = { kind: 'ended' };

describe('a rehearsal of leading', () => {
  it('led as planned, is as long as planned, with every key', () => {
    const events = simulatedRun(document, { talk: 1, pace: 1, seed: 3 });
    const { planned, real, keys, keysPlanned, again, talk, talkPlanned } = rehearsed(led, events, {
      ...{ seed: 1, rate: 0 },
    });
    expect(keys).toBe(keysPlanned);
    expect(again).toBe(0);
    // Uneven by at most 15 in 100, as the simulated leader is.
    expect(Math.abs(real - planned)).toBeLessThan(0.15 * planned);
    expect(talk).toBeGreaterThan(0.8 * talkPlanned);
  });
  it('counts every slip, and those about which something was done', () => {
    const went = rehearsed(led, run(opened('pulley'), began(0), began(1), ended), all);
    const plan = planNow(led, [], runAt(led, []));
    const parts = (key: number) =>
      plan.segments[1]!.computed.repetitions[key]!.parts.filter(({ does }) => does === 'sing')
        .length;
    expect(went).toMatchObject({ slips: parts(0) + parts(1), answered: 0 });
    for (const heard of [
      { kind: 'again' },
      { kind: 'talking', on: true },
      { kind: 'marked', part: 'S', word: 'late' },
      began(0),
    ] as const) {
      const events = run(opened('pulley'), began(0), heard, began(1), ended);
      expect(rehearsed(led, events, all).answered).toBeGreaterThanOrEqual(parts(0));
    }
    expect(rehearsed(led, run(opened('pulley'), began(0)), { seed: 1, rate: 0 }).slips).toBe(0);
  });
  it('slips anew when a key is sung again', () => {
    const events = run(opened('pulley'), began(0), { kind: 'again' });
    expect(timesBegun(led, events.slice(0, 2))).toBe(0);
    expect(timesBegun(led, events)).toBe(1);
    expect(timesBegun(led, run(opened('pulley'), began(0), began(1)))).toBe(0);
    const state = runAt(led, events);
    const plan = planNow(led, events, state);
    const some = { seed: 5, rate: 0.5 };
    const times = [0, 1, 2, 3, 4].map((time) => JSON.stringify(slipsNow(plan, state, time, some)));
    expect(new Set(times).size).toBeGreaterThan(1);
  });
  it('names the exercises in which something was not said', () => {
    const said = (thing: 'purpose' | 'cue' | 'breath'): SentAct => ({
      ...{ kind: 'marked', part: null, word: saidWord(thing) },
    });
    const events = run(opened('pulley'), said('purpose'), began(0), said('cue'), ended);
    expect(rehearsed(led, events, all).unsaid).toEqual({
      ...{ purpose: [], cue: [], breath: ['Pulley'] },
    });
    // What was not led is not missed.
    expect(rehearsed(led, run(opened('pulley'), ended), all).unsaid.cue).toEqual([]);
  });
});
