import type { EntityManager } from '@mikro-orm/postgresql';
import { roles, type Role, type z } from '@wide-fern/contract';
import type { RequestHandler } from 'express';
import type { Account } from '../account/account.entity';
import type { Choir } from '../choir/choir.entity';
import { notAllowed, notFound, signInFirst } from './problem';

/** What every handler is called with. */
export interface Call<Body> {
  readonly em: EntityManager;
  readonly params: Readonly<Record<string, string>>;
  /** What stands behind the question mark, the first of each name. */
  readonly query: Readonly<Record<string, string>>;
  readonly body: Body;
  /** The session's token as the cookie carries it, whether or not it is still good. */
  readonly token: string | undefined;
}
export interface SignedInCall<Body> extends Call<Body> {
  readonly account: Account;
}
export interface ChoirCall<Body> extends SignedInCall<Body> {
  readonly choir: Choir;
  readonly role: Role;
}

/** What a handler answers: a body, a status other than 200, and the session cookie to set or (null) clear. */
export interface Reply {
  readonly status?: number;
  readonly body?: unknown;
  /** A file to hand out instead of a body. */
  readonly file?: { readonly name: string; readonly bytes: Buffer };
  readonly session?: { readonly token: string; readonly expiresAt: Date } | null;
}

/** Who may call a route: anyone, whoever is signed in, or a member of the choir in its path with at least a role. */
export type Access = 'anyone' | 'signed-in' | Role;

interface Described {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** Below /api; a route of a choir begins with /choirs/:choir. */
  readonly path: string;
  /** Handlers that run before, such as limits. */
  readonly before?: readonly RequestHandler[];
  /** The body is a file of at most so many bytes, read only for who may send it. */
  readonly raw?: number;
}

/** A route as the application mounts it and as the tests walk it. */
export interface Route extends Described {
  readonly access: Access;
  readonly body: z.ZodType | undefined;
  readonly handle: (call: Call<unknown>, who: Who) => Promise<Reply>;
}

/** Who is calling: nobody, or an account with its place in the choir of the path. */
export interface Who {
  readonly account: Account | undefined;
  readonly membership: { readonly choir: Choir; readonly role: Role } | undefined;
}

type Handler<C> = (call: C) => Promise<Reply>;

/** A route that needs nobody to be signed in. */
export function open<S extends z.ZodType>(
  route: Described & { body?: S; handle: Handler<Call<z.infer<S>>> },
): Route {
  return {
    ...route,
    access: 'anyone',
    body: route.body,
    handle: (call) => route.handle(call as Call<z.infer<S>>),
  };
}

/** A route for whoever is signed in. */
export function signedIn<S extends z.ZodType>(
  route: Described & { body?: S; handle: Handler<SignedInCall<z.infer<S>>> },
): Route {
  return {
    ...route,
    access: 'signed-in',
    body: route.body,
    handle: async (call, { account }) => {
      if (!account) throw signInFirst();
      return route.handle({ ...(call as Call<z.infer<S>>), account });
    },
  };
}

const rank = (role: Role): number => roles.length - roles.indexOf(role);

/** Whether a member with this role may use a route. */
export const mayUse = ({ access }: Route, role: Role): boolean =>
  access === 'anyone' || access === 'signed-in' || rank(role) >= rank(access);

/** A route of one choir, for its members with at least the given role. A stranger is told no more than that it is not here. */
export function inChoir<S extends z.ZodType>(
  atLeast: Role,
  route: Described & { body?: S; handle: Handler<ChoirCall<z.infer<S>>> },
): Route {
  return {
    ...route,
    access: atLeast,
    body: route.body,
    handle: async (call, { account, membership }) => {
      if (!account) throw signInFirst();
      if (!membership) throw notFound('This choir');
      if (rank(membership.role) < rank(atLeast)) throw notAllowed();
      return route.handle({ ...(call as Call<z.infer<S>>), account, ...membership });
    },
  };
}
