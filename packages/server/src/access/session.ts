import { randomBytes } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import Bowser from 'bowser';
import { AccountSession, type Account } from '../db/entities/account';
import { digestOf } from './digest';

const hours = 60 * 60_000;
const days = 24 * hours;
/** However it is used, a session ends after so long. */
const lifetime = 30 * days;
/** A browser that has not been seen for so long is signed out. */
const idleLimit = 14 * days;

/** «Firefox on Linux», as far as a browser says what it is. */
function browserName(userAgent: string): string {
  if (userAgent === '') return 'a program';
  const { browser, os } = Bowser.parse(userAgent.slice(0, 400));
  const said = [browser.name, os.name].filter((part) => part !== undefined && part !== '');
  return said.length === 0 ? 'a program' : said.join(' on ').slice(0, 80);
}

/** Signs a browser in: makes its session and answers with the token for the cookie. */
export async function beginSession(
  em: EntityManager,
  account: Account,
  { userAgent, until }: { readonly userAgent: string; readonly until?: Date | null },
  now = new Date(),
) {
  const token = randomBytes(32).toString('base64url');
  const latest = new Date(now.getTime() + lifetime);
  const expiresAt = until && until < latest ? until : latest;
  await em.nativeDelete(AccountSession, {
    $or: [
      { expiresAt: { $lt: now } },
      { lastSeenAt: { $lt: new Date(now.getTime() - idleLimit) } },
    ],
  });
  em.create(AccountSession, {
    id: digestOf(token),
    account,
    browser: browserName(userAgent),
    lastSeenAt: now,
    expiresAt,
  });
  await em.flush();
  return { token, expiresAt };
}

/** Whether a browser was not seen for so long that it is signed out. */
export const isIdle = (lastSeenAt: Date, now: Date): boolean =>
  now.getTime() - lastSeenAt.getTime() > idleLimit;

/** Notes, once an hour, that a browser was seen; answers when it was seen last. */
export async function sawAgain(
  em: EntityManager,
  id: string,
  lastSeenAt: Date,
  now: Date,
): Promise<Date> {
  if (now.getTime() - lastSeenAt.getTime() <= hours) return lastSeenAt;
  await em.nativeUpdate(AccountSession, { id }, { lastSeenAt: now });
  return now;
}

export async function endSession(em: EntityManager, token: string | undefined): Promise<void> {
  if (token) await em.nativeDelete(AccountSession, { id: digestOf(token) });
}

/** Signs every browser of an account out. */
export async function endAllSessions(em: EntityManager, account: Account): Promise<void> {
  await em.nativeDelete(AccountSession, { account });
}
