import type { EntityManager } from '@mikro-orm/postgresql';
import type { SentEvent } from '@wide-fern/contract';
import type { Run } from '../db/entities/run';
import { lean } from '../db/lean';
import { happenedChannel, type HappenedIn } from '../events/happened';
import { discreetEvents } from './discreetEvents';

/** The database takes notifications below 8000 bytes. */
const mostBytes = 7_500;

/**
 * Tells every process what happened in a run, once it is stored: so nobody who follows it has to ask.
 * What is long, or what not everybody may know, is asked for by whoever may.
 * @param from how many events the run had before
 */
export async function tellHappened(
  em: EntityManager,
  run: Run,
  from: number,
  events: readonly SentEvent[],
): Promise<void> {
  const open = discreetEvents(events);
  if (open.length < events.length || open.some((event, i) => event !== events[i])) return;
  const happened: HappenedIn = {
    choir: run.choir.id,
    ...{ kind: 'happened', evening: run.evening.id, item: run.item, run: run.id },
    ...{ from, to: run.events, events: open },
  };
  const told = JSON.stringify(happened);
  if (Buffer.byteLength(told) > mostBytes) return;
  await lean(em, 'select pg_notify(?, ?)', [happenedChannel, told]);
}
