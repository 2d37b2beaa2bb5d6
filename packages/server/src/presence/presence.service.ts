import type { EntityManager } from '@mikro-orm/postgresql';
import type { ChangePresence, Presence } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { Evening } from '../db/entities/evening';
import { notFound } from '../http/problem';
import { Singer, SingerEvening } from '../db/entities/voices';

/** Who is here on an evening and how, as far as anything was said. */
export async function showPresence(em: EntityManager, evening: Evening): Promise<Presence> {
  const rows = await em.find(SingerEvening, { evening });
  return {
    condition: evening.condition ?? 'rested',
    singers: rows.map(({ singer, away, states }) => ({
      singer: singer.id,
      away: away ?? false,
      states: states ?? [],
    })),
  };
}

/** Changes what is named and leaves the rest: two windows that tick at once both count. */
export async function changePresence(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
  { condition, singers = [] }: ChangePresence,
): Promise<Presence> {
  await em.transactional(async (inner) => {
    const here: unknown[] = await inner.execute('select 1 from evening where id = ? for update', [
      evening.id,
    ]);
    if (here.length === 0) throw notFound('evening');
    // By hand: how the choir comes is no new version of the evening, which an update would count.
    if (condition) {
      await inner.execute('update evening set condition = ? where id = ?', [condition, evening.id]);
    }
    const ids = singers.map(({ singer }) => singer);
    const known = new Map(
      (await inner.find(Singer, { choir, id: { $in: ids } })).map((one) => [one.id, one]),
    );
    const rows = new Map(
      (await inner.find(SingerEvening, { evening, singer: { $in: ids } })).map((row) => [
        row.singer.id,
        row,
      ]),
    );
    for (const { singer: id, away, states } of singers) {
      const singer = known.get(id);
      if (!singer) throw notFound('singer');
      const row = rows.get(id) ?? inner.create(SingerEvening, { evening, singer });
      inner.assign(row, { away, states });
      rows.set(id, row);
    }
  });
  em.clear();
  const now = await em.findOne(Evening, evening.id);
  // Thrown away just now: nothing of it is left to say.
  if (!now) throw notFound('evening');
  return showPresence(em, now);
}
