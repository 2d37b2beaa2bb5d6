import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import {
  type ChangeEvening,
  type CopyEvening,
  type Evening as EveningView,
  type EveningSummary,
  type Role,
  type StoreEvening,
} from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import { record } from '../keeping/records';
import { withRoom } from '../keeping/room';
import type { Choir } from '../db/entities/choir';
import { pageOfRows, type PageOf } from '../db/page';
import { notFound, problem } from '../http/problem';
import { Piece } from '../db/entities/pieces';
import { Plan } from '../db/entities/plan';
import { plansAsTheyAre } from '../db/storedPlans';
import { Evening } from '../db/entities/evening';
import { tonightFor, wishesFor } from '../tonight/tonight.service';
import { dateIn, dateLater, momentOf, timeIn } from '../time/zone';

const asSummary = (evening: Evening): EveningSummary => ({
  id: evening.id,
  name: evening.name ?? null,
  startsAt: evening.startsAt.toISOString(),
  endsAt: evening.endsAt.toISOString(),
  place: evening.place,
});

/** The evenings of a choir, from the first to the last, a page at a time. */
export async function listEvenings(
  em: EntityManager,
  choir: Choir,
  after: string | undefined,
): Promise<PageOf<EveningSummary>> {
  const orderBy = { startsAt: 'asc', id: 'asc' } as const;
  const { items, next } = await pageOfRows(em, Evening, { choir }, { orderBy, after });
  return { items: items.map(asSummary), next };
}

export async function findEvening(em: EntityManager, choir: Choir, id: string): Promise<Evening> {
  const evening = await em.findOne(Evening, { id, choir });
  if (!evening) throw notFound('evening');
  return evening;
}

export async function showEvening(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
  forRole: Role = 'director',
): Promise<EveningView> {
  return {
    ...asSummary(evening),
    version: evening.version,
    occasion: evening.occasion ?? 'evening after work',
    forbids: evening.forbids,
    agenda: evening.agenda,
    ...(await tonightFor(em, choir, evening, forRole)),
    wishes: await wishesFor(em, choir, evening),
  };
}

/** When an evening begins and ends; an end before the start is on the next day. */
function momentsOf(choir: Choir, { date, start, end }: StoreEvening) {
  const startsAt = momentOf(date, start, choir.timeZone);
  const sameDay = momentOf(date, end, choir.timeZone);
  const endsAt = sameDay > startsAt ? sameDay : momentOf(dateLater(date, 1), end, choir.timeZone);
  return { startsAt, endsAt };
}

/** An evening's columns; every piece on it has to be the choir's. */
async function columnsOf(em: EntityManager, choir: Choir, evening: StoreEvening) {
  const { name, place, occasion, forbids, agenda } = evening;
  const wanted = [...new Set(agenda.flatMap(({ piece }) => piece ?? []))];
  const here = await em.count(Piece, { choir, id: { $in: wanted } });
  if (here < wanted.length) {
    throw problem('invalid', { what: 'piece-gone' }).at('agenda');
  }
  return {
    name: name || null,
    place,
    occasion,
    forbids,
    agenda,
    ...momentsOf(choir, evening),
  };
}

/** New evenings, one or a list of them. */
export async function addEvenings(
  em: EntityManager,
  choir: Choir,
  wanted: readonly StoreEvening[],
): Promise<Evening[]> {
  const adding = wanted.length;
  return withRoom(em, choir, { of: 'evenings', adding }, async (inner) => {
    const made: Evening[] = [];
    for (const one of wanted) {
      made.push(inner.create(Evening, { choir, ...(await columnsOf(inner, choir, one)) }));
    }
    await inner.flush();
    return made;
  });
}

/**
 * Changes an evening that was at the given version. A warm-up whose plan has segments stays on it:
 * its item may be moved and renamed, not left out, so that no plan is lost unseen.
 */
export async function changeEvening(
  em: EntityManager,
  choir: Choir,
  id: string,
  { version, evening: wanted }: ChangeEvening,
): Promise<Evening> {
  const evening = await findEvening(em, choir, id);
  await em.lock(evening, LockMode.OPTIMISTIC, version);
  const plans = await em.find(Plan, { evening });
  const planned = plans.filter(({ document }) => document.segments.length > 0);
  const items = new Map(wanted.agenda.map((item) => [item.id, item]));
  const lost = planned.find(({ item }) => {
    const kind = items.get(item)?.kind;
    return kind !== 'warm-up' && kind !== 'cool-down';
  });
  if (lost) {
    const title = evening.agenda.find((item) => item.id === lost.item)?.title;
    throw problem('has_plan', title).at('agenda');
  }
  em.assign(evening, await columnsOf(em, choir, wanted));
  await em.flush();
  return evening;
}

/** Calls an evening off: it and its plans are gone. */
export async function removeEvening(
  em: EntityManager,
  { choir, account }: { readonly choir: Choir; readonly account: Account },
  id: string,
): Promise<void> {
  const evening = await findEvening(em, choir, id);
  const about = `the evening of ${dateIn(evening.startsAt, choir.timeZone)}`;
  em.remove(evening);
  record(em, { choir, by: account, kind: 'deleted', about });
  await em.flush();
}

/** The same evening on other dates, at the same time by the clock on the wall. */
export async function copyEvening(
  em: EntityManager,
  { choir, account, evening: id }: { choir: Choir; account: Account; evening: string },
  { dates, withPlans }: CopyEvening,
): Promise<EveningSummary[]> {
  return withRoom(em, choir, { of: 'evenings', adding: dates.length }, async (inner) => {
    const evening = await findEvening(inner, choir, id);
    const { name, place, occasion, forbids, agenda } = evening;
    const start = timeIn(evening.startsAt, choir.timeZone);
    const end = timeIn(evening.endsAt, choir.timeZone);
    const daysLong =
      dateIn(evening.endsAt, choir.timeZone) !== dateIn(evening.startsAt, choir.timeZone);
    const plans = withPlans
      ? await plansAsTheyAre(inner, { choir: choir.id, evening: evening.id })
      : [];
    const made = dates.map((date) => {
      const copy = inner.create(Evening, {
        choir,
        name: name ?? null,
        place,
        occasion,
        forbids,
        agenda,
        startsAt: momentOf(date, start, choir.timeZone),
        endsAt: momentOf(daysLong ? dateLater(date, 1) : date, end, choir.timeZone),
      });
      for (const { item, document } of plans) {
        inner.create(Plan, {
          choir,
          evening: copy,
          item,
          document,
          savedAt: new Date(),
          savedBy: account,
        });
      }
      return copy;
    });
    await inner.flush();
    return made.map(asSummary);
  });
}
