import { runState } from '@wide-fern/core';
import { ledPlan, planNow, runAt } from '@wide-fern/plan';
import { Evening } from '../db/entities/evening';
import { Member } from '../db/entities/choir';
import { Run } from '../db/entities/run';
import { showRun } from '../run/run.service';
import { testDatabase } from '../testing/database';
import { makeDemo } from './seed';

const database = testDatabase();

describe('the evenings of the demo that were led', () => {
  const late: number[] = [];
  const talked: number[] = [];

  it('are six, each told by its events: begun, gone through, ended', async () => {
    const now = new Date('2026-11-25T12:00:00Z');
    const { director } = await makeDemo(database.orm.em.fork(), now);
    const em = database.orm.em.fork();
    const { choir } = await em.findOneOrFail(
      Member,
      { account: director.id },
      { populate: ['choir'] },
    );
    const runs = await em.find(Run, { choir }, { orderBy: { startedAt: 'asc' } });
    expect(runs).toHaveLength(6);
    for (const { id, evening, item, endedAt } of runs) {
      const of = { choir, evening: await em.findOneOrFail(Evening, evening.id), item };
      const { head, events } = await showRun(em, of, id);
      const plan = ledPlan(head);
      const state = runAt(plan, events);
      expect(state).toEqual(runState(plan.segments, events));
      expect(state.isOver).toBe(true);
      expect(endedAt!.getTime()).toBe(Date.parse(head.startedAt) + 1000 * state.elapsed);
      expect(
        state.records.every(({ keys, managed }) => keys.length > 0 && managed.length > 0),
      ).toBe(true);
      late.push(state.elapsed - planNow(plan, events, state).total);
      talked.push(state.records.reduce((sum, one) => sum + one.talk + one.coach + one.after, 0));
    }
  });
  it('were as planned within two minutes, but for one that was eight minutes late by talk', () => {
    const [worst, ...others] = [...late].sort((a, b) => b - a);
    expect(worst! / 60).toBeGreaterThan(7.5);
    expect(worst! / 60).toBeLessThan(8.5);
    for (const seconds of others) expect(Math.abs(seconds)).toBeLessThan(120);
    expect(late.indexOf(worst!)).toBe(talked.indexOf(Math.max(...talked)));
  });
});
