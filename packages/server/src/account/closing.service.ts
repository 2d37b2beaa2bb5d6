import type { EntityManager } from '@mikro-orm/postgresql';
import type { Account } from '../db/entities/account';
import { Member, type Choir } from '../db/entities/choir';
import { problem } from '../http/problem';
import { inTwoWeeks } from '../time/grace';
import { checkPresent } from './password';

/** The choirs an account directs alone, each with whether anybody else is in it. */
async function directedAlone(em: EntityManager, account: Account) {
  const own = await em.find(
    Member,
    { account, role: 'director', removedAt: null },
    { populate: ['choir'] },
  );
  const found: { choir: Choir; others: boolean }[] = [];
  for (const { choir } of own) {
    const members = await em.find(Member, { choir, removedAt: null });
    if (members.filter(({ role }) => role === 'director').length > 1) continue;
    found.push({ choir, others: members.length > 1 });
  }
  return found;
}

/**
 * Has an account deleted in two weeks, with the choirs nobody else is in.
 * @throws Problem last_director where others would be left without one
 */
export async function closeAccount(
  em: EntityManager,
  account: Account,
  password: string,
): Promise<void> {
  await checkPresent(account, password, 'password');
  await em.transactional(async (inner) => {
    const alone = await directedAlone(inner, account);
    if (alone.some(({ choir, others }) => others && !choir.closesAt)) {
      throw problem('last_director');
    }
    account.closesAt = inTwoWeeks();
    for (const { choir } of alone) choir.closesAt ??= account.closesAt;
  });
}

/** Keeps an account after all, and the choirs that would have gone with it. */
export async function keepAccount(em: EntityManager, account: Account): Promise<void> {
  const { closesAt } = account;
  if (!closesAt) return;
  await em.transactional(async (inner) => {
    for (const { choir } of await directedAlone(inner, account)) {
      if (choir.closesAt?.getTime() === closesAt.getTime()) choir.closesAt = null;
    }
    account.closesAt = null;
  });
}
