import type { EntityManager } from '@mikro-orm/postgresql';
import type {
  AgendaItem,
  Evening as EveningView,
  EveningSummary,
  NewEvening,
} from '@wide-fern/contract';
import type { Choir } from '../choir/choir.entity';
import { keepDemoFresh } from '../demo/demo.service';
import { notFound, Problem } from '../http/problem';
import { Evening } from './evening.entity';
import { tonightFor } from './tonight.service';
import { dateLater, momentOf } from './zone';

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
    agenda: evening.agenda,
    ...(await tonightFor(em, choir, evening)),
  };
}

/** A new evening; an end before the start is on the next day. */
export async function addEvening(
  em: EntityManager,
  choir: Choir,
  { date, start, end, place, warmUpMinutes }: NewEvening,
): Promise<Evening> {
  const startsAt = momentOf(date, start, choir.timeZone);
  const sameDay = momentOf(date, end, choir.timeZone);
  const endsAt = sameDay > startsAt ? sameDay : momentOf(dateLater(date, 1), end, choir.timeZone);
  const minutes = Math.round((endsAt.getTime() - startsAt.getTime()) / 60_000);
  if (warmUpMinutes > minutes) {
    const message = `The evening has ${minutes} minutes; the warm-up cannot take more.`;
    throw new Problem(400, 'invalid', message, { warmUpMinutes: message });
  }
  const item = (id: string, kind: AgendaItem['kind'], title: string, length: number) => ({
    id,
    kind,
    title,
    minutes: length,
    piece: null,
  });
  const agenda: AgendaItem[] = [item('warm-up', 'warm-up', 'Warm-up', warmUpMinutes)];
  const evening = em.create(Evening, { choir, name: null, startsAt, endsAt, place, agenda });
  await em.flush();
  return evening;
}
