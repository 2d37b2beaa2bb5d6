import type { SentAct, SentEvent } from '@wide-fern/contract';
import { breathRounds } from '@wide-fern/core';
import { documentOf } from '../testing';
import { longestBreath } from './breathed';
import { ledPlan, runAt } from './now';

const document = documentOf('long-s', 'coat-off');
const led = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document });
const [longS, coatOff] = document.segments;
const { music, id } = longS!.exercise;
const { repetitions, tempo } = longS!.choices;
const rounds =
  music.kind === 'breath' ? breathRounds({ ...music, rounds: repetitions, tempo }) : [];
const secondsOf = (beats: number) => (beats * 60) / tempo;
const lengths = rounds.map((one) => secondsOf(one.in + one.hold + one.out + one.rest));
const outs = rounds.map((one) => secondsOf(one.out));
const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);

/** What was breathed longest when these touches came at their seconds. */
function after(...touches: readonly (readonly [number, SentAct])[]) {
  const events = touches.map(([seconds, act], n): SentEvent => ({
    id: `e${n}`,
    n,
    at: 1000 * seconds,
    act,
  }));
  return (segment = longS!) => longestBreath(led, events, segment, runAt(led, events));
}
const opened = [0, { kind: 'opened', segment: id }] as const;
const began = [10, { kind: 'began', key: 0 }] as const;
const ended = (seconds: number) => [10 + seconds, { kind: 'ended' }] as const;

describe('the longest breath of a run', () => {
  it('is that of the last round when all were breathed, and that of the last whole one else', () => {
    expect(after(opened, began, ended(sum(lengths)))()).toBeCloseTo(outs.at(-1)!);
    expect(after(opened, began, ended(lengths[0]! + 1))()).toBeCloseTo(outs[0]!);
    expect(after(opened, began, ended(1))()).toBe(0);
  });
  it('is shorter when the rounds to come were made shorter', () => {
    const few = [12, { kind: 'managed', how: 'few', longer: { counts: -2, seconds: -6 } }] as const;
    expect(after(opened, began, few, ended(sum(lengths)))()).toBeCloseTo(
      outs.at(-1)! - secondsOf(2),
    );
  });
  it('does not grow by what was said after the last round, nor by what was taken back', () => {
    const more = { kind: 'managed', how: 'all', longer: { counts: 2, seconds: 2 } } as const;
    const end = sum(lengths);
    expect(after(opened, began, [10 + end, more], ended(end + 5))()).toBeCloseTo(outs.at(-1)!);
    const undone = after(
      opened,
      began,
      [12, more],
      [13, { kind: 'undone', event: 'e2' }],
      ended(end + 20),
    );
    expect(undone()).toBeCloseTo(outs.at(-1)!);
  });
  it('is not told where breath is not counted, or nothing was done', () => {
    const run = after(opened, began, ended(30));
    expect(run(coatOff)).toBeNull();
  });
});
