import type { EntityManager } from '@mikro-orm/postgresql';
import type { Session } from '@wide-fern/contract';
import { endpoint, type Route } from '../access/endpoint';
import { accountOf, beginSession, endAllSessions, endSession } from '../access/session';
import type { Account } from '../db/entities/account';
import { WithSession } from '../http/endpoint';
import { changePassword, describeSession, signIn, signUp } from './account.service';

/** Signs a browser in and answers with who is signed in. */
export async function welcome(em: EntityManager, account: Account): Promise<WithSession<Session>> {
  const session = await beginSession(em, account);
  return new WithSession(session, await describeSession(em, account));
}

export const accountRoutes: readonly Route[] = [
  endpoint('showSession', async ({ em, token }) => describeSession(em, await accountOf(em, token))),
  endpoint('signIn', async ({ em, body }) => welcome(em, await signIn(em, body))),
  endpoint('signOut', async ({ em, token }) => {
    await endSession(em, token);
    return new WithSession(null, undefined);
  }),
  endpoint('signUp', async ({ em, body }) => welcome(em, await signUp(em, body))),
  endpoint('signOutEverywhere', async ({ em, account }) => {
    await endAllSessions(em, account);
    return new WithSession(null, undefined);
  }),
  endpoint('changePassword', async ({ em, account, body }) => {
    await changePassword(em, account, body);
    // Whoever knew the old password is signed out everywhere; this browser goes on with a new session.
    await endAllSessions(em, account);
    return new WithSession(await beginSession(em, account), undefined);
  }),
];
