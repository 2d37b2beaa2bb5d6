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

/** What of a choir changed after an event that somebody saw last; «missed» when that is not known any more. */
export async function changesSince(
  em: EntityManager,
  choir: Choir,
  after: number,
): Promise<readonly Told[]> {
  await em.execute(
    `delete from choir_change where choir_id = ? and at < now() - interval '${keptHours} hours'`,
    [choir.id],
  );
  const found = await em.find(
    ChoirChange,
    { choir, id: { $gte: String(after) } },
    { orderBy: { id: 'asc' }, limit: mostEvents + 2 },
  );
  const [last, ...rest] = found;
  if (!last || Number(last.id) !== after || rest.length > mostEvents) return ['missed'];
  return rest.map(asEvent);
}
