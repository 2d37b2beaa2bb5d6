import type { Proposal } from '@wide-fern/plan';
import { after, type Building } from './useBuilding';

const plan = (points: number, bound = points): Proposal => ({
  ...{ segments: [], points, bound, breaches: [] },
  parts: { skills: points, needs: 0, own: 0 },
  served: { seconds: {}, open: [], reached: {}, points },
});
const begun: Building = {
  ...{ state: 'working', rows: [], present: undefined, conflict: [], message: '' },
  ...{ seconds: undefined, request: undefined },
};
const told = (...steps: Parameters<typeof after>[1][]): Building => steps.reduce(after, begun);

describe('where building has got to', () => {
  it('shows a first plan, a better one in its place, and what could still be won', () => {
    const building = told(
      { kind: 'plan', number: 0, plan: plan(60) },
      { kind: 'bound', number: 0, bound: 90 },
      { kind: 'plan', number: 0, plan: plan(72) },
    );
    expect(building.rows).toMatchObject([{ plan: { points: 72 }, bound: 90, isFinal: false }]);
    expect(building.seconds).toBeUndefined();
  });
  it('knows how long the first took as soon as a different one is sought', () => {
    const building = told(
      { kind: 'plan', number: 0, plan: plan(72), seconds: 1 },
      { kind: 'plan', number: 1, plan: plan(70), seconds: 2.5 },
      { kind: 'plan', number: 1, plan: plan(71), seconds: 4 },
    );
    expect(building.rows.map(({ isFinal }) => isFinal)).toEqual([true, false]);
    expect(building.seconds).toBe(2.5);
  });
  it('says nothing of a bound before there is a plan', () => {
    expect(told({ kind: 'bound', number: 0, bound: 90 }).rows).toEqual([]);
  });
  it('is over with plans, with a conflict, or with nothing', () => {
    const over = (proposed: Parameters<typeof after>[1] & { kind: 'over' }) =>
      told({ kind: 'plan', number: 0, plan: plan(60) }, proposed);
    const done = over({
      kind: 'over',
      seconds: 3,
      proposed: { kind: 'plans', plans: [plan(80), plan(70, 75)] },
    });
    expect(done).toMatchObject({ state: 'done', seconds: 3 });
    expect(done.rows.map(({ isFinal, plan: { bound } }) => [isFinal, bound])).toEqual([
      [true, 80],
      [true, 75],
    ]);
    const conflict = { kind: 'conflict', conflict: ['under'] } as const;
    expect(over({ kind: 'over', seconds: 3, proposed: conflict })).toMatchObject({
      ...{ state: 'conflict', conflict: ['under'], rows: [] },
    });
    // What was found so far stays to be seen.
    expect(over({ kind: 'over', seconds: 3, proposed: { kind: 'unknown' } }).rows).toHaveLength(1);
  });
  it('keeps what stands when it is stopped or breaks off, and begins anew with nothing', () => {
    const found = told({ kind: 'plan', number: 0, plan: plan(60) });
    expect(after(found, { kind: 'stopped' })).toMatchObject({ state: 'stopped', rows: [{}] });
    const failed = after(found, { kind: 'failed', message: 'Lost.' });
    expect(failed).toMatchObject({ state: 'failed', message: 'Lost.', rows: [{}] });
    expect(after(found, { kind: 'begin', request: {} as never }).rows).toEqual([]);
  });
});
