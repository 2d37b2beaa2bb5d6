import type { EntityManager } from '@mikro-orm/postgresql';
import type { Account } from '../db/entities/account';
import { Member, type Choir } from '../db/entities/choir';
import type { Who } from '../http/endpoint';
import { accountOf } from './session';

/** Who a session's token belongs to, and that account's place in a choir. */
export async function whoIs(
  em: EntityManager,
  token: string | undefined,
  choir: string | undefined,
): Promise<Who<Account, Choir>> {
  const account = await accountOf(em, token);
  if (!account || !choir) return { account, membership: undefined };
  const member = await em.findOne(
    Member,
    { account, choir, removedAt: null },
    { populate: ['choir'] },
  );
  return { account, membership: member ? { choir: member.choir, role: member.role } : undefined };
}
