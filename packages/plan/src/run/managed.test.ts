import type { SentAct } from '@wide-fern/contract';
import { restOf, runState, type RunEvent, type RunState } from '@wide-fern/core';
import { evaluate } from '../evaluate';
import { documentOf } from '../testing/plans';
import { ledSegments } from './led';
import { managedActs, type ManagedRule } from './managed';

const document = documentOf('long-s', 'pulley');
const plan = evaluate(document, 900);
const led = ledSegments(document);
const rule: ManagedRule = { counts: 2, few: 'again' };

const run = (now: number, ...acts: readonly (readonly [number, SentAct])[]): RunState => {
  const events = acts.map(([seconds, act], n): RunEvent => ({
    id: `e${n}`,
    n,
    at: 1000 * seconds,
    act,
  }));
  return runState(led, events, 1000 * now);
};
const breathing = [
  [0, { kind: 'opened', segment: 'long-s' }],
  [10, { kind: 'began', key: 0 }],
] as const;
const singing = [
  [0, { kind: 'opened', segment: 'pulley' }],
  [10, { kind: 'began', key: 0 }],
] as const;

describe('what comes of how many managed', () => {
  it('makes the next rounds of breath longer or shorter, by as many seconds as that takes', () => {
    const state = run(11, ...breathing);
    const music = plan.segments[0]!.segment.exercise.music;
    const { repetitions, tempo } = plan.segments[0]!.segment.choices;
    expect(music.kind).toBe('breath');
    const seconds = ((repetitions - 1) * 2 * 60) / tempo;
    const [all, ...more] = managedActs(plan, state, 'all', rule);
    expect(more).toEqual([]);
    expect(all).toEqual({
      ...{ kind: 'managed', how: 'all' },
      longer: { counts: 2, seconds: expect.closeTo(seconds, 6) as number },
    });
    expect(restOf(run(11, ...breathing, [11, all!]))).toBeCloseTo(restOf(state) + seconds, 6);
    const [few] = managedActs(plan, state, 'few', rule);
    expect(few).toMatchObject({ longer: { counts: -2 } });
    expect(managedActs(plan, state, 'most', rule)).toEqual([{ kind: 'managed', how: 'most' }]);
  });
  it('changes nothing where nothing is wished, and nothing behind the last round', () => {
    const bare = [{ kind: 'managed', how: 'few' }];
    expect(managedActs(plan, run(11, ...breathing), 'few', { counts: 0, few: 'lower' })).toEqual(
      bare,
    );
    expect(managedActs(plan, run(900, ...breathing), 'few', rule)).toEqual(bare);
    expect(managedActs(plan, run(11, ...singing), 'few', { ...rule, few: 'nothing' })).toEqual(
      bare,
    );
  });
  it('sings a key again, or what follows lower', () => {
    const state = run(11, ...singing);
    expect(managedActs(plan, state, 'few', rule)[1]).toEqual({ kind: 'again' });
    expect(managedActs(plan, state, 'few', { ...rule, few: 'lower' })[1]).toEqual({
      ...{ kind: 'shifted', semitones: -1 },
    });
    expect(managedActs(plan, state, 'all', rule)).toHaveLength(1);
    // While it is only explained there is no key yet.
    expect(managedActs(plan, run(5, singing[0]), 'few', rule)).toHaveLength(1);
  });
});
