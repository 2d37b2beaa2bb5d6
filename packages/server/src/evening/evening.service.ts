import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import {
  type ChangeEvening,
  type CopyEvening,
  type Evening as EveningView,
  type EveningSummary,
  type StoreEvening,
} from '@wide-fern/contract';
import type { Account } from '../account/account.entity';
import type { Choir } from '../choir/choir.entity';
import { keepDemoFresh } from '../demo/demo.service';
import { notFound, Problem } from '../http/problem';
import { Piece } from '../pieces/pieces.entity';
import { Plan } from '../plan/plan.entity';
import { Evening } from './evening.entity';
import { tonightFor, wishesFor } from './tonight.service';
import { dateIn, dateLater, momentOf, timeIn } from './zone';

const asSummary = (evening: Evening): EveningSummary => ({
  id: evening.id,
  name: evening.name ?? null,
  startsAt: evening.startsAt.toISOString(),
  endsAt: evening.endsAt.toISOString(),
  place: evening.place,
});

/** All evenings of a choir, from the first to the last. */
export async function listEvenings(em: EntityManager, choir: Choir): Promise<EveningSummary[]> {
  await keepDemoFresh(em, choir);
  const evenings = await em.find(Evening, { choir }, { orderBy: { startsAt: 'asc' } });
  return evenings.map(asSummary);
}

export async function findEvening(em: EntityManager, choir: Choir, id: string): Promise<Evening> {
  const evening = await em.findOne(Evening, { id, choir });
  if (!evening) throw notFound('This evening');
  return evening;
}

export async function showEvening(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
): Promise<EveningView> {
  return {
    ...asSummary(evening),
    version: evening.version,
    occasion: evening.occasion ?? 'evening after work',
    forbids: evening.forbids,
    agenda: evening.agenda,
    ...(await tonightFor(em, choir, evening)),
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
    const message = 'A piece on this evening is not here any more. Choose another one for it.';
    throw new Problem(400, 'invalid', message, { agenda: message });
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
  return em.transactional(async (inner) => {
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
    const title = evening.agenda.find((item) => item.id === lost.item)?.title ?? 'a warm-up';
    const message = `“${title}” has a plan. Leave it in the evening, or take its segments out first.`;
    throw new Problem(409, 'has_plan', message, { agenda: message });
  }
  em.assign(evening, await columnsOf(em, choir, wanted));
  await em.flush();
  return evening;
}

/** Calls an evening off: it and its plans are gone. */
export async function removeEvening(em: EntityManager, choir: Choir, id: string): Promise<void> {
  em.remove(await findEvening(em, choir, id));
  await em.flush();
}

/** The same evening on other dates, at the same time by the clock on the wall. */
export async function copyEvening(
  em: EntityManager,
  { choir, account, evening: id }: { choir: Choir; account: Account; evening: string },
  { dates, withPlans }: CopyEvening,
): Promise<EveningSummary[]> {
  return em.transactional(async (inner) => {
    const evening = await findEvening(inner, choir, id);
    const { name, place, occasion, forbids, agenda } = evening;
    const start = timeIn(evening.startsAt, choir.timeZone);
    const end = timeIn(evening.endsAt, choir.timeZone);
    const daysLong =
      dateIn(evening.endsAt, choir.timeZone) !== dateIn(evening.startsAt, choir.timeZone);
    const plans = withPlans ? await inner.find(Plan, { evening }) : [];
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
