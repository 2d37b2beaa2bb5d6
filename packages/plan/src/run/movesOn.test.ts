import type { SentAct } from '@wide-fern/contract';
import { actOf, runState, type RunEvent, type RunState } from '@wide-fern/core';
import { evaluate } from '../evaluate';
import { documentOf } from '../testing/plans';
import { ledSegments } from './led';
import { betweenMovements, movesOn } from './movesOn';

const document = documentOf('coat-off', 'long-s');
const plan = evaluate(document, 900);
const led = ledSegments(document);
const { keys } = led[0]!;

const run = (now: number, ...acts: readonly (readonly [number, SentAct])[]): RunState => {
  const events = acts.map(([seconds, act], n): RunEvent => ({
    ...{ id: `e${n}`, n, at: 1000 * seconds, act },
  }));
  return runState(led, events, 1000 * now);
};
const opened = [0, { kind: 'opened', segment: 'coat-off' }] as const;
const began = (key: number) => [10, { kind: 'began', key }] as const;
const due = 10 + keys[0]!.seconds + betweenMovements;

describe('a movement that goes on by itself', () => {
  it('does so when it was done for its time, with a moment to come back', () => {
    expect(keys.length).toBeGreaterThan(1);
    expect(movesOn(plan, run(due - 0.5, opened, began(0)))).toBe(false);
    const state = run(due + 0.1, opened, began(0));
    expect(movesOn(plan, state)).toBe(true);
    // What the next touch does then is the next movement.
    expect(actOf(state, 'next')).toEqual({ kind: 'began', key: 1 });
  });
  it.each<[string, SentAct]>([
    ['paused', { kind: 'paused' }],
    ['talked', { kind: 'talking', on: true }],
    ['stayed with', { kind: 'held' }],
  ])('does not while it is %s', (_, act) => {
    expect(movesOn(plan, run(due + 60, opened, began(0), [11, act]))).toBe(false);
  });
  it('leaves the last one, what is explained and what is no movement to a touch', () => {
    expect(movesOn(plan, run(9999, opened, began(keys.length - 1)))).toBe(false);
    expect(movesOn(plan, run(9999, opened))).toBe(false);
    expect(movesOn(plan, run(9999, [0, { kind: 'opened', segment: 'long-s' }], began(0)))).toBe(
      false,
    );
  });
});
