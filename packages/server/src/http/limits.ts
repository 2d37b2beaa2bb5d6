import { createHash } from 'node:crypto';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Described } from '@wide-fern/contract';
import type { Request, RequestHandler } from 'express';
import {
  ipKeyGenerator,
  rateLimit,
  type ClientRateLimitInfo,
  type Store,
} from 'express-rate-limit';
import { problem } from './problem';

const minute = 60_000;
const windowMs = 15 * minute;
/** After too many attempts in a row one waits a minute, then two, four and so on, at most an hour. */
const longestWaitMinutes = 60;
/** After a wait so many attempts are free before the next one. */
const freeAfterWait = 3;

/** What is counted: one row for each key. */
interface Counting {
  readonly name: string;
  /** More than so many are refused. */
  readonly most: number;
  /** Whether each wait is longer than the one before, until a day was quiet. */
  readonly grows: boolean;
}

const counting = `insert into attempt as a (key, hits, strikes, resets_at) values (?, 1, 0, ?)
  on conflict (key) do update set
    hits = case
      when a.resets_at > now() then a.hits + 1
      when a.hits > ? and a.strikes > 0 and a.resets_at > now() - interval '1 day' then ?
      else 1 end,
    strikes = case
      when a.resets_at > now() then a.strikes + (a.hits = ? and ?)::int
      when a.resets_at > now() - interval '1 day' then a.strikes
      else 0 end,
    resets_at = case
      when a.resets_at > now() and a.hits = ? and ?
        then now() + least(?, power(2, a.strikes)) * interval '1 minute'
      when a.resets_at > now() then a.resets_at
      else excluded.resets_at end
  returning hits, resets_at`;

/** Counts in PostgreSQL, so that several server processes count together. Keys are hashed: no address is kept. */
function sharedStore(orm: MikroORM, { name, most, grows }: Counting): Store {
  const keyed = (key: string) => createHash('sha256').update(`${name}:${key}`).digest('hex');
  const run = <T>(sql: string, params: unknown[]) =>
    orm.em.getConnection().execute<T[]>(sql, params, 'all');
  return {
    localKeys: false,
    async increment(key): Promise<ClientRateLimitInfo> {
      const resets = new Date(Date.now() + windowMs);
      const rows = await run<{ hits: number; resets_at: Date | string }>(counting, [
        keyed(key),
        resets,
        most,
        most + 1 - freeAfterWait,
        most,
        grows,
        most,
        grows,
        longestWaitMinutes,
      ]);
      const row = rows[0]!;
      // What counts for nothing any more is deleted by whoever begins anew.
      if (row.hits === 1) {
        await run(`delete from attempt where resets_at < now() - interval '1 day'`, []);
      }
      return { totalHits: row.hits, resetTime: new Date(row.resets_at) };
    },
    async decrement(key) {
      await run('update attempt set hits = greatest(hits - 1, 0) where key = ?', [keyed(key)]);
    },
    async resetKey(key) {
      await run('delete from attempt where key = ?', [keyed(key)]);
    },
  };
}

/** How many minutes whoever was stopped still waits. */
function minutesLeft(request: Request): number {
  const { rateLimit: info } = request as { rateLimit?: { resetTime?: Date } };
  const left = (info?.resetTime?.getTime() ?? Date.now() + windowMs) - Date.now();
  return Math.max(1, Math.ceil(left / minute));
}

function limit(
  orm: MikroORM,
  what: Counting & {
    readonly key: (request: Request) => string;
    readonly failuresOnly: boolean;
  },
): RequestHandler {
  return rateLimit({
    windowMs,
    limit: what.most,
    store: sharedStore(orm, what),
    keyGenerator: what.key,
    skipSuccessfulRequests: what.failuresOnly,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (request) => {
      throw problem('too_many_attempts', minutesLeft(request));
    },
  });
}

/** Whose attempts these are, where somebody is signed in. */
const callers = new WeakMap<Request, string>();
/** Says who calls, by the account's id, before attempts are counted. */
export const callerIs = (request: Request, account: string): void => {
  callers.set(request, account);
};

const byAddress = (request: Request): string => ipKeyGenerator(request.ip ?? 'unknown');
const emailOf = (request: Request): string => {
  const body: unknown = request.body;
  const email = typeof body === 'object' && body !== null && 'email' in body ? body.email : '';
  return typeof email === 'string' ? email.trim().toLowerCase().slice(0, 254) : '';
};
/**
 * An account where there is one; else the e-mail that is tried together with where it is tried from,
 * so that a stranger elsewhere locks nobody out. Never nothing: that would be everybody.
 */
const byCaller = (request: Request): string => {
  const account = callers.get(request);
  return account === undefined
    ? `email ${emailOf(request)} from ${byAddress(request)}`
    : `account ${account}`;
};
const byAccountOrAddress = (request: Request): string => {
  const account = callers.get(request);
  return account === undefined ? byAddress(request) : `account ${account}`;
};

/** What counts the calls of an endpoint, by what it limits. */
export type Limits = Readonly<Record<NonNullable<Described['limited']>, readonly RequestHandler[]>>;

/**
 * Failures: at most ten by one account, or for one e-mail from one address, and fifty from one
 * address, with waits that grow. Calls: as many as are said in a quarter of an hour, by one account
 * or address, whether they succeed or not.
 */
export const callLimits = (orm: MikroORM, mostCalls: number): Limits => ({
  failures: [
    limit(orm, { name: 'caller', most: 10, grows: true, key: byCaller, failuresOnly: true }),
    limit(orm, { name: 'address', most: 50, grows: true, key: byAddress, failuresOnly: true }),
  ],
  calls: [
    limit(orm, {
      name: 'calls',
      most: mostCalls,
      grows: false,
      key: byAccountOrAddress,
      failuresOnly: false,
    }),
  ],
});
