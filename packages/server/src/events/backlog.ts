import type { EntityManager } from '@mikro-orm/postgresql';
import type { ChoirEvent } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { ChoirChange } from '../db/entities/change';
import type { Told } from './hub';

/** Changes are kept for whoever comes back after a break, not for good. */
const keptHours = 24;
/** More than so many and it is quicker to fetch everything anew. */
const mostEvents = 500;

const asEvent = ({ id, kind, about }: ChoirChange): ChoirEvent => ({
  id: Number(id),
  kind,
  ...about,
});

/** What somebody is told who begins to follow, or comes back. */
export interface Backlog {
  readonly told: readonly Told[];
  /** From where on nothing is missed. */
  readonly from: number;
}

/**
 * What of a choir changed after an event that somebody saw last; «missed» when that is not known, or not
 * any more: what was fetched before may be old.
 * @param after the event; nothing where none was seen
 */
export async function changesSince(
  em: EntityManager,
  choir: Choir,
  after: number | undefined,
): Promise<Backlog> {
  // The last one stays, so that whoever saw it has missed nothing, however quiet the choir is.
  const [{ last }] = await em.execute<[{ last: string | null }]>(
    'select max(id) as last from choir_change where choir_id = ?',
    [choir.id],
  );
  const from = Number(last ?? 0);
  await em.execute(
    `delete from choir_change where choir_id = ? and id < ? and at < now() - interval '${keptHours} hours'`,
    [choir.id, from],
  );
  if (after === from) return { told: [], from };
  if (after === undefined) return { told: ['missed'], from };
  const [seen, ...rest] = await em.find(
    ChoirChange,
    { choir, id: { $gte: String(after) } },
    { orderBy: { id: 'asc' }, limit: mostEvents + 2 },
  );
  if (!seen || Number(seen.id) !== after || rest.length > mostEvents) {
    return { told: ['missed'], from };
  }
  return { told: rest.map(asEvent), from };
}
