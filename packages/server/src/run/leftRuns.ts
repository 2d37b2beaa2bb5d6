import type { EntityManager } from '@mikro-orm/postgresql';
import { Run } from '../db/entities/run';
import { keepLedOnce } from './ledOnce';
import { eventsOf } from './run.service';

/** So many at a time. */
const atOnce = 200;
/** No warm-up lasts as long. */
const longest = 12 * 60 * 60_000;

/** A run that nobody ended was over when something happened in it last; what comes later changes that again. */
export async function endLeftRuns(em: EntityManager): Promise<void> {
  const before = new Date(Date.now() - longest);
  const left = await em.find(
    Run,
    { endedAt: null, startedAt: { $lt: before }, events: { $gt: 0 } },
    { limit: atOnce, orderBy: { startedAt: 'asc' } },
  );
  for (const run of left) {
    const events = await eventsOf(em, run);
    const last = events.at(-1)?.at ?? 0;
    run.endedAt = new Date(run.startedAt.getTime() + Math.round(last));
    await keepLedOnce(em, run, events);
  }
  await em.flush();
}

/** Works out what runs took that ended before that was asked of them, the latest first. */
export async function workOutRuns(em: EntityManager): Promise<void> {
  for (;;) {
    const runs = await em.find(
      Run,
      { endedAt: { $ne: null }, planned: null },
      { limit: atOnce, orderBy: { startedAt: 'desc' } },
    );
    for (const run of runs) await keepLedOnce(em, run, await eventsOf(em, run));
    await em.flush();
    // Each of them has what was asked for now.
    if (runs.length < atOnce) return;
    em.clear();
  }
}
