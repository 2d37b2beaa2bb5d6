import type { EntityManager } from '@mikro-orm/postgresql';
import type { Role, Session } from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import { Member } from '../db/entities/choir';

/** Who is signed in and where that person belongs, as a browser is told. */
export function sessionOf(
  { id, name, email, factorSecret, closesAt }: Account,
  members: readonly {
    readonly choir: { readonly id: string; readonly name: string };
    readonly role: Role;
  }[],
  hasDemo: boolean,
): Session {
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

/** The same, of an account as it is now. */
export async function describeSession(
  em: EntityManager,
  account: Account,
  hasDemo: boolean,
): Promise<Session> {
  const members = await em.find(
    Member,
    { account, removedAt: null },
    { populate: ['choir'], orderBy: { createdAt: 'asc' } },
  );
  return sessionOf(account, members, hasDemo);
}
