import { createHash, randomBytes } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { AccountSession, type Account } from '../db/entities/account';

const days = 24 * 60 * 60_000;
const lifetime = 30 * days;

const idOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Signs a browser in: makes its session and answers with the token for the cookie. */
export async function beginSession(em: EntityManager, account: Account, now = new Date()) {
  const token = randomBytes(32).toString('base64url');
  const expiresAt = new Date(now.getTime() + lifetime);
  await em.nativeDelete(AccountSession, { expiresAt: { $lt: now } });
  em.create(AccountSession, { id: idOf(token), account, expiresAt });
  await em.flush();
  return { token, expiresAt };
}

/** Whose session a token is; undefined when it is none, or has run out. */
export async function accountOf(
  em: EntityManager,
  token: string | undefined,
  now = new Date(),
): Promise<Account | undefined> {
  if (!token) return undefined;
  const session = await em.findOne(
    AccountSession,
    { id: idOf(token), expiresAt: { $gt: now } },
    { populate: ['account'] },
  );
  return session?.account;
}

export async function endSession(em: EntityManager, token: string | undefined): Promise<void> {
  if (token) await em.nativeDelete(AccountSession, { id: idOf(token) });
}

/** Signs every browser of an account out. */
export async function endAllSessions(em: EntityManager, account: Account): Promise<void> {
  await em.nativeDelete(AccountSession, { account });
}
