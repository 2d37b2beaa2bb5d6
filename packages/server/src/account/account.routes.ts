import { changePasswordSchema, signInSchema, signUpSchema } from '@wide-fern/contract';
import type { RequestHandler } from 'express';
import { findDemoDirector } from '../demo/demo.service';
import { notFound } from '../http/problem';
import { open, signedIn, type Reply, type Route } from '../http/route';
import { changePassword, describeSession, signIn, signUp } from './account.service';
import type { Account } from './account.entity';
import { accountOf, beginSession, endAllSessions, endSession } from './session.service';
import type { EntityManager } from '@mikro-orm/postgresql';

async function welcome(em: EntityManager, account: Account): Promise<Reply> {
  const session = await beginSession(em, account);
  return { session, body: await describeSession(em, account) };
}

export const accountRoutes = (limits: readonly RequestHandler[]): Route[] => [
  open({
    method: 'get',
    path: '/session',
    handle: async ({ em, token }) => ({
      body: await describeSession(em, await accountOf(em, token)),
    }),
  }),
  open({
    method: 'post',
    path: '/session',
    before: limits,
    body: signInSchema,
    handle: async ({ em, body }) => welcome(em, await signIn(em, body)),
  }),
  open({
    method: 'post',
    path: '/session/demo',
    handle: async ({ em }) => {
      const director = await findDemoDirector(em);
      if (!director) throw notFound('The demo choir');
      return welcome(em, director);
    },
  }),
  open({
    method: 'delete',
    path: '/session',
    handle: async ({ em, token }) => {
      await endSession(em, token);
      return { session: null };
    },
  }),
  open({
    method: 'post',
    path: '/accounts',
    before: limits,
    body: signUpSchema,
    handle: async ({ em, body }) => ({
      ...(await welcome(em, await signUp(em, body))),
      status: 201,
    }),
  }),
  signedIn({
    method: 'delete',
    path: '/sessions',
    handle: async ({ em, account }) => {
      await endAllSessions(em, account);
      return { session: null };
    },
  }),
  signedIn({
    method: 'put',
    path: '/account/password',
    before: limits,
    body: changePasswordSchema,
    handle: async ({ em, account, body }) => {
      await changePassword(em, account, body);
      // Whoever knew the old password is signed out everywhere; this browser goes on with a new session.
      await endAllSessions(em, account);
      return { session: await beginSession(em, account), status: 204 };
    },
  }),
];
