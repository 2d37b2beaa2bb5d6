import type { EntityManager } from '@mikro-orm/postgresql';
import type { Session } from '@wide-fern/contract';
import { endpoint, type Route } from '../access/endpoint';
import { describeSession } from '../access/describe';
import type { Callers } from '../access/callers';
import { beginSession, endAllSessions, endSession } from '../access/session';
import { acceptInvitation, lookAtInvitation } from '../choir/invitations.service';
import type { Account } from '../db/entities/account';
import { WithSession } from '../http/endpoint';
import { changeName, changePassword, signIn, signUp } from './account.service';
import { listBrowsers, signBrowserOut } from './browsers.service';
import { closeAccount, keepAccount } from './closing.service';
import { beginSecondFactor, endSecondFactor, keepSecondFactor } from './secondFactor';
import {
  changeEmail,
  confirmEmail,
  forgetPassword,
  renewPassword,
  type Post,
} from './secrets.service';

/** What the routes of accounts rest on. */
export interface AccountSettings {
  readonly post: Post;
  readonly callers: Callers;
  /** Whether there is a demo to look at. */
  readonly hasDemo: boolean;
}

type Browser = Parameters<typeof beginSession>[2];

/** Signs a browser in and answers with who is signed in. */
export async function welcome(
  em: EntityManager,
  account: Account,
  browser: Browser,
  hasDemo: boolean,
): Promise<WithSession<Session>> {
  const session = await beginSession(em, account, browser);
  return new WithSession(session, await describeSession(em, account, hasDemo));
}

const sessions = ({ callers, hasDemo }: AccountSettings): readonly Route[] => [
  endpoint('showSession', ({ em, token }) => callers.describe(em, token, hasDemo)),
  endpoint('signIn', async ({ em, body, userAgent }) =>
    welcome(em, await signIn(em, body), { userAgent }, hasDemo),
  ),
  endpoint('signOut', async ({ em, token }) => {
    await endSession(em, token);
    return new WithSession(null, undefined);
  }),
  endpoint('signUp', async ({ em, body, userAgent }) =>
    welcome(em, await signUp(em, body), { userAgent }, hasDemo),
  ),
  endpoint('signOutEverywhere', async ({ em, account }) => {
    await endAllSessions(em, account);
    return new WithSession(null, undefined);
  }),
  endpoint('listBrowsers', ({ em, account, token }) => listBrowsers(em, account, token)),
  endpoint('signBrowserOut', ({ em, account, params }) =>
    signBrowserOut(em, account, params.browser),
  ),
];

const ownThings = ({ post, hasDemo }: AccountSettings): readonly Route[] => [
  endpoint('changePassword', async ({ em, account, body, userAgent }) => {
    await changePassword(em, account, body);
    // Whoever knew the old password is signed out everywhere; this browser goes on with a new session.
    await endAllSessions(em, account);
    return new WithSession(await beginSession(em, account, { userAgent }), undefined);
  }),
  endpoint('changeName', async ({ em, account, body }) => {
    await changeName(em, account, body.name);
    return describeSession(em, account, hasDemo);
  }),
  endpoint('changeEmail', ({ em, account, body }) => changeEmail(em, post, account, body)),
  endpoint('confirmEmail', ({ em, body }) => confirmEmail(em, post, body.secret)),
  endpoint('forgetPassword', ({ em, body }) => {
    forgetPassword(em.fork(), post, body.email).catch((error: unknown) =>
      post.log.error({ err: error }, 'the way to a new password could not be sent'),
    );
    return Promise.resolve();
  }),
  endpoint('renewPassword', ({ em, body }) => renewPassword(em, body)),
  endpoint('beginSecondFactor', ({ em, account, body }) =>
    beginSecondFactor(em, account, body.password),
  ),
  endpoint('keepSecondFactor', ({ em, account, body }) => keepSecondFactor(em, account, body.code)),
  endpoint('endSecondFactor', ({ em, account, body }) =>
    endSecondFactor(em, account, body.password),
  ),
  endpoint('closeAccount', async ({ em, account, body }) => {
    await closeAccount(em, account, body.password);
    return describeSession(em, account, hasDemo);
  }),
  endpoint('keepAccount', async ({ em, account }) => {
    await keepAccount(em, account);
    return describeSession(em, account, hasDemo);
  }),
];

const invitations = ({ hasDemo }: AccountSettings): readonly Route[] => [
  endpoint('lookAtInvitation', ({ em, body }) => lookAtInvitation(em, body.secret)),
  endpoint('acceptInvitation', async ({ em, account, body }) => {
    await acceptInvitation(em, account, body.secret);
    return describeSession(em, account, hasDemo);
  }),
];

/** Signing in and out, what a person changes of their own, and invitations accepted. */
export const accountRoutes = (settings: AccountSettings): readonly Route[] => [
  ...sessions(settings),
  ...ownThings(settings),
  ...invitations(settings),
];
