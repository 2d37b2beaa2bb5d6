import type { EntityManager } from '@mikro-orm/postgresql';
import {
  described,
  roles,
  type Access,
  type Api,
  type BodyOf,
  type EndpointName,
  type ParamsOf,
  type QueryOf,
  type ReplyOf,
  type Role,
} from '@wide-fern/contract';
import type { Request, Response } from 'express';
import { notFound, problem } from './problem';
import type { Received } from './received';

/** What every handler is called with. */
export interface Call<N extends EndpointName> {
  readonly em: EntityManager;
  readonly params: ParamsOf<N>;
  readonly query: QueryOf<N>;
  readonly body: Api[N] extends { readonly file: object } ? Received : BodyOf<N>;
  /** The session's token as the cookie carries it, whether or not it is still good. */
  readonly token: string | undefined;
  /** What the browser says it is; empty where it says nothing. */
  readonly userAgent: string;
}

/** As much of an account as most that is stored needs to know: it costs nothing to have. */
export interface Caller {
  readonly id: string;
  readonly name: string;
}

/** Who is calling: nobody, or an account with its place in the choir of the path. */
export interface Who<Account, Choir> {
  readonly isKnown: boolean;
  readonly caller: Caller | undefined;
  readonly account: Account | undefined;
  readonly membership: { readonly choir: Choir; readonly role: Role } | undefined;
}

/** What a handler is called with by who may call: nobody in particular, an account, a member. */
export type CallOf<N extends EndpointName, Account, Choir> = Call<N> &
  (Api[N]['access'] extends 'anyone'
    ? unknown
    : Api[N]['access'] extends 'signed-in'
      ? { readonly account: Account; readonly caller: Caller }
      : {
          readonly account: Account;
          readonly caller: Caller;
          readonly choir: Choir;
          readonly role: Role;
        });

/** The session cookie to set, or (null) to clear. */
export type SessionCookie = { readonly token: string; readonly expiresAt: Date } | null;

/** A reply that also begins or ends a session. */
export class WithSession<T> {
  constructor(
    readonly session: SessionCookie,
    readonly reply: T,
  ) {}
}

/** A reply that goes on by itself, as a stream of events does. */
export class Streaming {
  constructor(readonly start: (request: Request, response: Response) => void) {}
}

/** A reply that is written already, as it was answered before. */
export class Written {
  constructor(readonly json: string) {}
}

type Returned<Reply> = Reply extends undefined ? void : Reply;

/** What a handler answers with. */
export type Answer<N extends EndpointName> = Api[N] extends { readonly reply: 'events' }
  ? Streaming
  : Returned<ReplyOf<N>> | WithSession<ReplyOf<N>> | Written;

/** An endpoint with its handler, as the application mounts it and the tests walk it. */
export interface Route<Account = unknown, Choir = unknown> {
  readonly name: EndpointName;
  readonly access: Access;
  readonly handle: (call: Call<EndpointName>, who: Who<Account, Choir>) => Promise<unknown>;
}

const rank = (role: Role): number => roles.length - roles.indexOf(role);

/** Whether a member with this role may call what is open from a role on. */
const isAtLeast = (role: Role, least: Role): boolean => rank(role) >= rank(least);

/**
 * Refuses whoever may not call, before anything that was sent is looked at. A stranger is told no
 * more than that the choir is not here.
 * @throws Problem sign_in_first, not_found or not_allowed.
 */
export function refuseUnlessAllowed(access: Access, who: Who<unknown, unknown>): void {
  if (access === 'anyone') return;
  if (!who.isKnown) throw problem('sign_in_first');
  if (access === 'signed-in') return;
  if (!who.membership) throw notFound('choir');
  if (!isAtLeast(who.membership.role, access)) throw problem('not_allowed');
}

/** Ties handlers to the endpoints of the contract, for a kind of account and choir. */
export const endpointsFor =
  <Account, Choir>() =>
  <N extends EndpointName>(
    name: N,
    handle: (call: CallOf<N, Account, Choir>) => Promise<Answer<N>>,
  ): Route<Account, Choir> => ({
    name,
    access: described(name).access,
    handle: (call, who) => {
      // Asked for where a handler does: most want one of them, and each costs to be made.
      const whole = {
        ...call,
        get account() {
          return who.account;
        },
        get choir() {
          return who.membership?.choir;
        },
        caller: who.caller,
        role: who.membership?.role,
      };
      return handle(whole as unknown as CallOf<N, Account, Choir>);
    },
  });
