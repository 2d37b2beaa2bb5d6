import { exercises } from '@wide-fern/catalogue';
import { demoEvenings } from '@wide-fern/catalogue/demo';
import { build, type SegmentChoices } from '@wide-fern/core';
import {
  emptyDocument,
  itemTime,
  nothingAsked,
  planAhead,
  requestOf,
  rememberedWays,
  weigh,
  type AheadEvening,
  type Proposal,
} from '@wide-fern/plan';
import { highsSolver } from '@wide-fern/solver';
import { Choir, Member } from '../db/entities/choir';
import { Evening } from '../db/entities/evening';
import { Plan } from '../db/entities/plan';
import { showEvening } from '../evening/evening.service';
import { testDatabase } from '../testing/database';
import { makeDemo } from './seed';

const database = testDatabase();

/** What was chosen otherwise than is usual for the exercise, as the demo's plans say it. */
function asDemoSegment({ exercise: id, choices }: Proposal['segments'][number]) {
  const usual = exercises.find((one) => one.id === id)!.usual as SegmentChoices;
  const changed = Object.entries(choices).filter(
    ([name, value]) => name !== 'start' && usual[name as keyof typeof usual] !== (value as unknown),
  );
  return { exercise: id, ...Object.fromEntries(changed) };
}

describe('the evenings of the demo that the planner planned', () => {
  it('are what it builds for them, one knowing the other', async () => {
    const { director } = await makeDemo(database.orm.em.fork());
    const em = database.orm.em.fork();
    const member = await em.findOneOrFail(Member, { account: director.id });
    const choir = await em.findOneOrFail(Choir, member.choir.id);
    const evenings = await em.find(Evening, { choir }, { orderBy: { startsAt: 'asc' } });
    const plans = await em.find(Plan, { choir, item: 'warm-up' }, { populate: ['evening'] });
    const idsIn = (evening: string): string[] | undefined =>
      plans
        .find((plan) => plan.evening.id === evening)
        ?.document.segments.map(({ exercise }) => exercise.id);
    const built = demoEvenings.filter(({ builtAhead }) => builtAhead);
    expect(built.map(({ week }) => week)).toEqual([2, 3]);
    const weeks = demoEvenings.map(({ week }) => week);
    const rows = await Promise.all(
      evenings.map(async (evening, i): Promise<AheadEvening> => {
        const shown = await showEvening(em, choir, evening, 'director');
        if (!demoEvenings[i]!.builtAhead) {
          return { id: evening.id, planned: idsIn(evening.id) ?? [] };
        }
        const request = requestOf(
          {
            choir: { approach: 'evening-after-work', level: 2, approaches: [] },
            document: emptyDocument(shown.tonight),
            allotted: itemTime(shown, 'warm-up').allotted,
            evening: shown,
            evenings: evenings.map(({ startsAt }) => startsAt.toISOString()),
            exercises: { own: [], marks: {}, lastUsed: {} },
          },
          nothingAsked,
        );
        return { id: evening.id, request };
      }),
    );
    const solver = highsSolver();
    const ways = rememberedWays();
    const found = await planAhead(rows, {
      weigh: (request) => Promise.resolve(weigh(request, exercises, ways)),
      solve: (problem) => build(problem, { solver, timeLimit: 60 }),
    });
    expect(weeks).toEqual([...weeks].sort((a, b) => a - b));
    for (const { plan } of found) expect(plan!.bound).toBe(plan!.points);
    expect(found.map(({ plan }) => plan!.segments.map(asDemoSegment))).toEqual(
      built.map(({ plan }) => plan),
    );
  }, 180_000);
});
