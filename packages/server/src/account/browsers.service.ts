import type { EntityManager } from '@mikro-orm/postgresql';
import type { SignedInBrowser } from '@wide-fern/contract';
import { digestOf } from '../access/digest';
import { AccountSession, type Account } from '../db/entities/account';
import { notFound } from '../http/problem';

/** The browsers an account is signed in with, the one last seen first. */
export async function listBrowsers(
  em: EntityManager,
  account: Account,
  token: string | undefined,
): Promise<SignedInBrowser[]> {
  const here = digestOf(token ?? '');
  const found = await em.find(
    AccountSession,
    { account, expiresAt: { $gt: new Date() } },
    { orderBy: { lastSeenAt: 'desc' }, limit: 100 },
  );
  return found.map(({ id, browser, createdAt, lastSeenAt }) => ({
    id,
    name: browser,
    since: createdAt.toISOString(),
    lastSeen: lastSeenAt.toISOString(),
    here: id === here,
  }));
}

export async function signBrowserOut(em: EntityManager, account: Account, id: string) {
  if ((await em.nativeDelete(AccountSession, { account, id })) === 0) throw notFound('browser');
}
