import type { EntityManager } from '@mikro-orm/postgresql';
import { mostKept, type KeptKind, type Room } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { problem } from '../http/problem';

const countOf: Readonly<Record<KeptKind, string>> = {
  files: 'coalesce(sum(size), 0)::float8 from piece_file where choir_id = ?',
  singers: 'count(*)::float8 from singer where choir_id = ?',
  evenings: 'count(*)::float8 from evening where choir_id = ?',
  templates: 'count(*)::float8 from evening_template where choir_id = ?',
  keptPlans: 'count(*)::float8 from kept_plan where choir_id = ?',
  pieces: 'count(*)::float8 from piece where choir_id = ?',
  marks:
    'count(*)::float8 from piece_mark join piece on piece.id = piece_id where piece.choir_id = ?',
  judgements:
    'count(*)::float8 from piece_judgement join piece on piece.id = piece_id where piece.choir_id = ?',
  judgings:
    'count(*)::float8 from piece_judging join piece on piece.id = piece_id where piece.choir_id = ?',
  recordings: `coalesce(sum(size), 0)::float8 from piece_recording
    join piece_judging on piece_judging.id = judging_id
    join piece on piece.id = piece_id where piece.choir_id = ?`,
  exercises: 'count(*)::float8 from own_exercise where choir_id = ? and removed_at is null',
  checks:
    'count(*)::float8 from range_check join singer on singer.id = singer_id where singer.choir_id = ?',
};
const kinds = Object.keys(mostKept) as KeptKind[];

async function countHere(em: EntityManager, choir: Choir, of: KeptKind): Promise<number> {
  const [row]: { here: number }[] = await em.execute(`select (select ${countOf[of]}) as here`, [
    choir.id,
  ]);
  return row!.here;
}

/** How much of each kind a choir keeps, of how much it may. */
export async function showRoom(em: EntityManager, choir: Choir): Promise<Room> {
  const here = await Promise.all(kinds.map((of) => countHere(em, choir, of)));
  return kinds.map((of, i) => ({ of, here: here[i]!, most: mostKept[of] }));
}

/** Whoever adds to a choir waits for whoever does already; rows that only belong to it do not wait. */
export const lockChoir = (em: EntityManager, choir: Choir): Promise<unknown> =>
  em.execute('select 1 from choir where id = ? for no key update', [choir.id]);

/**
 * Adds to what a choir keeps while nobody else does, where there is room for it.
 * @throws Problem too_many
 */
export function withRoom<T>(
  em: EntityManager,
  choir: Choir,
  { of, adding }: { readonly of: KeptKind; readonly adding: number },
  add: (inner: EntityManager) => Promise<T>,
): Promise<T> {
  return em.transactional(async (inner) => {
    await lockChoir(inner, choir);
    const here = await countHere(inner, choir, of);
    if (here + adding > mostKept[of]) throw problem('too_many', { of, most: mostKept[of], here });
    return add(inner);
  });
}
