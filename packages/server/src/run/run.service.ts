import type { EntityManager } from '@mikro-orm/postgresql';
import {
  mostRunEvents,
  type Run as RunView,
  type RunNews,
  type RunSummary,
  type SendRun,
  type SentEvent,
} from '@wide-fern/contract';
import { effective, ordered } from '@wide-fern/core';
import { upcastStored } from '@wide-fern/plan';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import type { Evening } from '../db/entities/evening';
import { Run } from '../db/entities/run';
import { lean } from '../db/lean';
import { notFound, problem } from '../http/problem';
import { lockChoir } from '../keeping/room';
import { checkItem } from '../plan/plan.service';
import { keepLedOnce } from './ledOnce';
import { tellHappened } from './tellHappened';

/** Runs of one warm-up that are kept. */
const mostRuns = 40;

/** What runs belong to. */
export interface RunPlace {
  readonly choir: Choir;
  readonly evening: Evening;
  readonly item: string;
}

const asSummary = ({
  id,
  startedAt,
  endedAt,
  ledBy,
}: Pick<Run, 'id' | 'startedAt' | 'endedAt' | 'ledBy'>): RunSummary => ({
  id,
  startedAt: startedAt.toISOString(),
  endedAt: endedAt?.toISOString() ?? null,
  ledBy: ledBy?.name ?? '',
});

/** The runs of a warm-up, the latest first. */
export async function listRuns(em: EntityManager, of: RunPlace): Promise<RunSummary[]> {
  const runs = await em.find(
    Run,
    { ...of },
    { orderBy: { startedAt: 'desc', id: 'desc' }, populate: ['ledBy'] },
  );
  return runs.map(asSummary);
}

/** All that happened in a run: asked for with every touch. */
export const eventsOf = (em: EntityManager, run: Run): Promise<SentEvent[]> =>
  lean(em, 'select id, n, at, act from run_event where run_id = ? order by at, n, id', [run.id]);

/** A run with all that happened in it so far. */
export async function showRun(em: EntityManager, of: RunPlace, id: string): Promise<RunView> {
  const run = await em.findOne(Run, { id, ...of }, { populate: ['ledBy', 'head'] });
  if (!run) throw notFound('run');
  const head = { ...run.head, document: upcastStored(run.head.document) };
  return { ...asSummary(run), head, events: await eventsOf(em, run) };
}

/** What happened in a run so far, for whoever has its beginning. */
export async function showRunEvents(em: EntityManager, of: RunPlace, id: string): Promise<RunNews> {
  const run = await em.findOne(Run, { id, ...of });
  if (!run) throw notFound('run');
  const events = await eventsOf(em, run);
  return { endedAt: run.endedAt?.toISOString() ?? null, stored: events.length, events };
}

/** The run that is sent, begun where it is not here yet; nothing of it is changed by whoever sends it again. */
async function begun(
  em: EntityManager,
  of: RunPlace,
  { id, account }: { readonly id: string; readonly account: Account },
  head: SendRun['head'],
): Promise<Run> {
  const found = await em.findOne(Run, { id });
  if (found) {
    const isHere =
      found.choir.id === of.choir.id &&
      found.evening.id === of.evening.id &&
      found.item === of.item;
    if (!isHere) throw notFound('run');
    return found;
  }
  // Whoever sends only what is new has sent the beginning before, elsewhere or to what is not here any more.
  if (!head) throw notFound('run');
  checkItem(of.evening, of.item);
  const here = await em.count(Run, { ...of });
  if (here >= mostRuns) throw problem('too_many', { of: 'runs', most: mostRuns, here });
  const startedAt = new Date(head.startedAt);
  return em.create(Run, {
    id,
    ...of,
    startedAt,
    endedAt: null,
    ledBy: account,
    head,
    events: 0,
    allotted: null,
    planned: null,
    real: null,
  });
}

const insert = `
  insert into run_event (run_id, id, n, at, act)
    select ?, one.id, one.n, one.at, one.act
      from jsonb_to_recordset(?::jsonb) as one(id text, n int, at float8, act jsonb)
    on conflict do nothing`;

/** Keeps events of a run that is stored, each once. */
export const keepEvents = async (
  em: EntityManager,
  run: string,
  events: readonly SentEvent[],
): Promise<void> => void (await lean(em, insert, [run, JSON.stringify(events)]));

/** When a run ended, by its events; null while it goes on. */
function endOf(startedAt: Date, events: readonly SentEvent[]): Date | null {
  const end = effective(ordered(events)).find(({ act }) => act.kind === 'ended');
  return end ? new Date(startedAt.getTime() + Math.round(end.at)) : null;
}

/**
 * Keeps events of a run, each once, whoever sends it, however often, in whatever order.
 * @returns how many are here now
 */
export async function sendRun(
  em: EntityManager,
  of: RunPlace,
  sender: { readonly id: string; readonly account: Account },
  { head, events }: SendRun,
): Promise<{ events: number }> {
  return em.transactional(async (inner) => {
    await lockChoir(inner, of.choir);
    const run = await begun(inner, of, sender, head);
    await inner.flush();
    return { events: await keepFurther(inner, run, events) };
  });
}

/** Keeps further events of a run, and what rests on them; answers how many are here now. */
export async function keepFurther(
  em: EntityManager,
  run: Run,
  events: readonly SentEvent[],
): Promise<number> {
  const before = run.events;
  await keepEvents(em, run.id, events);
  const all = await eventsOf(em, run);
  if (all.length > mostRunEvents) {
    throw problem('too_many', { of: 'events', most: mostRunEvents, here: all.length });
  }
  run.events = all.length;
  const wasOver = run.endedAt !== null;
  run.endedAt = endOf(run.startedAt, all);
  if (wasOver || run.endedAt !== null) await keepLedOnce(em, run, all);
  await em.flush();
  if (before > 0 && run.endedAt === null) await tellHappened(em, run, before, events);
  return all.length;
}
