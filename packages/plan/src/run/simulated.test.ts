import { documentOf } from '../testing/plans';
import { ledPlan, runAt } from './now';
import { simulatedRun, type Leader } from './simulated';

const document = documentOf('coat-off', 'long-s', 'pulley', 'slate-steps');
const plan = ledPlan({ startedAt: new Date(0).toISOString(), seconds: 900, document });
const led = (leader: Partial<Leader> = {}) => {
  const events = simulatedRun(document, { talk: 1, pace: 1, seed: 1, ...leader });
  return { events, state: runAt(plan, events) };
};
const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);

describe('a warm-up as it might have been led', () => {
  it('is the same for the same evening, and another for another one', () => {
    expect(led().events).toEqual(led().events);
    expect(led().events).not.toEqual(led({ seed: 2 }).events);
  });
  it('goes through everything in order, and ends', () => {
    const { state } = led();
    expect(state.isOver).toBe(true);
    expect(state.records.map(({ id, keys }) => [id, keys.map(({ key }) => key)])).toEqual(
      plan.segments.map(({ id, keys }) => [id, keys.map((_, i) => i)]),
    );
  });
  it('talks as much as its leader does', () => {
    const talk = (times: number) => sum(led({ talk: times }).state.records.map((one) => one.talk));
    const planned = sum(plan.segments.map((one) => one.talk));
    for (const times of [0.5, 1, 3]) {
      expect(Math.abs(talk(times) / (planned * times) - 1)).toBeLessThan(0.16);
    }
  });
  it('sings some keys again, and lower where somebody strains', () => {
    const times = led({ again: 4 }).state.records.flatMap(({ keys }) =>
      keys.map((one) => one.times),
    );
    expect(times.filter((count) => count > 1)).toHaveLength(Math.floor(times.length / 4));
    const { records } = led({ strains: { segment: 2, part: 'T' } }).state;
    const [planned, sung] = [
      plan.segments[2]!.keys.at(-1)!.tonic!,
      records[2]!.keys.at(-1)!.tonic!,
    ];
    // It is marked in the key as it was, before it is lowered.
    expect(records[2]!.marks).toEqual([
      { part: 'T', word: 'strained', key: expect.any(Number) as number, tonic: planned },
    ]);
    expect(sung).toBe(planned - 1);
  });
});
