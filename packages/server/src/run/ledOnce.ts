import type { EntityManager } from '@mikro-orm/postgresql';
import type { LedOnce as LedOnceView, SentEvent } from '@wide-fern/contract';
import { ledPlan, planNow, runAt, upcastStored } from '@wide-fern/plan';
import type { Choir } from '../db/entities/choir';
import { LedOnce, type Run } from '../db/entities/run';

/** So many times that exercises were led are looked back on. */
const most = 400;

/** Works out anew what each exercise of a run took; nothing while the run goes on. The caller flushes. */
export async function keepLedOnce(
  em: EntityManager,
  run: Run,
  events: readonly SentEvent[],
): Promise<void> {
  await em.nativeDelete(LedOnce, { run });
  if (run.endedAt === null) return;
  await em.populate(run, ['head']);
  const led = ledPlan({ ...run.head, document: upcastStored(run.head.document) });
  const state = runAt(led, events);
  const { segments } = planNow(led, events, state);
  for (const [place, { segment }] of segments.entries()) {
    const record = state.records.find(({ id }) => id === segment.id);
    const planned = state.segments[place];
    if (!record || !planned || record.keys.length === 0) continue;
    const { talk, coach, after, singing } = record;
    em.create(LedOnce, {
      ...{ run, place, choir: run.choir, ledAt: run.startedAt },
      ...{ talk, coach, after, singing },
      exercise: segment.exercise.id,
      planned: planned.keys.reduce((sum, { span }) => sum + span, 0),
    });
  }
}

/** What the exercises of a choir took when they were led, the latest first. */
export async function listLedOnce(em: EntityManager, choir: Choir): Promise<LedOnceView[]> {
  const found = await em.find(
    LedOnce,
    { choir },
    { orderBy: { ledAt: 'desc', run: 'asc', place: 'asc' }, limit: most },
  );
  return found.map(({ exercise, ledAt, talk, coach, after, singing, planned }) => ({
    exercise,
    ledAt: ledAt.toISOString(),
    talk: Number(talk),
    coach: Number(coach),
    after: Number(after),
    singing: Number(singing),
    planned: Number(planned),
  }));
}
