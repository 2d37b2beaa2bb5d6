import type { EntityManager } from '@mikro-orm/postgresql';
import type { Session } from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import { Member } from '../db/entities/choir';

/** Who is signed in and where that person belongs. */
export async function describeSession(
  em: EntityManager,
  account: Account | undefined,
  hasDemo: boolean,
): Promise<Session> {
  if (!account) return { account: null, choirs: [], demo: hasDemo };
  const members = await em.find(
    Member,
    { account, removedAt: null },
    { populate: ['choir'], orderBy: { createdAt: 'asc' } },
  );
  const { id, name, email, factorSecret, closesAt } = account;
  return {
    account: {
      id,
      name,
      email,
      secondFactor: typeof factorSecret === 'string',
      closesAt: closesAt?.toISOString() ?? null,
    },
    choirs: members.map(({ choir, role }) => ({ id: choir.id, name: choir.name, role })),
    demo: hasDemo,
  };
}
