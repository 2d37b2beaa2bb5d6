import type { EntityManager } from '@mikro-orm/postgresql';
import type { LedOnce as LedOnceView, SentEvent } from '@wide-fern/contract';
import { ledSeconds, strainedIn } from '@wide-fern/core';
import { ledPlan, longestBreath, planNow, runAt, upcastStored } from '@wide-fern/plan';
import type { Choir } from '../db/entities/choir';
import { LedOnce, type Run } from '../db/entities/run';

/** So many times that exercises were led are looked back on. */
const most = 400;

/** Works out anew what a run and each exercise in it took; nothing while it goes on. The caller flushes. */
export async function keepLedOnce(
  em: EntityManager,
  run: Run,
  events: readonly SentEvent[],
): Promise<void> {
  await em.nativeDelete(LedOnce, { run });
  if (run.endedAt === null) {
    Object.assign(run, { allotted: null, planned: null, real: null });
    return;
  }
  await em.populate(run, ['head']);
  const led = ledPlan({ ...run.head, document: upcastStored(run.head.document) });
  const state = runAt(led, events);
  const { segments } = planNow(led, events, state);
  run.allotted = run.head.seconds;
  run.planned = led.segments.reduce((sum, segment) => sum + ledSeconds(segment), 0);
  run.real = state.elapsed;
  for (const [place, { segment }] of segments.entries()) {
    const record = state.records.find(({ id }) => id === segment.id);
    const planned = state.segments[place];
    if (!record || !planned || record.keys.length === 0) continue;
    const { talk, coach, after, singing, keys, managed } = record;
    const { id, name, phase, purposes } = segment.exercise;
    const tonics = keys.flatMap(({ tonic }) => tonic ?? []);
    em.create(LedOnce, {
      ...{ run, place, choir: run.choir, ledAt: run.startedAt },
      ...{ talk, coach, after, singing },
      ...{ exercise: id, name, phase, purposes: [...purposes] },
      top: tonics.length > 0 ? Math.max(...tonics) : null,
      managed: managed.at(-1) ?? null,
      keys: new Set(keys.filter(({ tonic }) => tonic !== null).map(({ key }) => key)).size,
      breath: longestBreath(led, events, segment, state),
      // Of what was sung or done, as often as it was: what was left out says nothing of the pace.
      planned: keys.reduce(
        (sum, { key, times }) => sum + times * (planned.keys[key]?.span ?? 0),
        0,
      ),
      strained: strainedIn(record),
    });
  }
}

/** What the exercises of a choir took when they were led, the latest first. */
export async function listLedOnce(
  em: EntityManager,
  choir: Choir,
  { seesPersons }: { readonly seesPersons: boolean },
): Promise<LedOnceView[]> {
  const found = await em.find(
    LedOnce,
    { choir },
    { orderBy: { ledAt: 'desc', run: 'asc', place: 'asc' }, limit: most },
  );
  return found.map(({ exercise, ledAt, managed, keys, breath, ...once }) => ({
    ...{ exercise, keys },
    managed: managed ?? null,
    ledAt: ledAt.toISOString(),
    breath: breath === null ? null : Number(breath),
    talk: Number(once.talk),
    coach: Number(once.coach),
    after: Number(once.after),
    singing: Number(once.singing),
    planned: Number(once.planned),
    strained: seesPersons ? once.strained : [],
  }));
}
