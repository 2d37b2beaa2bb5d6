import { createHash } from 'node:crypto';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Request, RequestHandler } from 'express';
import {
  ipKeyGenerator,
  rateLimit,
  type ClientRateLimitInfo,
  type Store,
} from 'express-rate-limit';
import { problem } from './problem';

const windowMs = 15 * 60_000;

/** Counts in PostgreSQL, so that several server processes count together. Keys are hashed: no address is kept. */
function sharedStore(orm: MikroORM, name: string): Store {
  const keyed = (key: string) => createHash('sha256').update(`${name}:${key}`).digest('hex');
  const run = <T>(sql: string, params: unknown[]) =>
    orm.em.getConnection().execute<T[]>(sql, params, 'all');
  return {
    localKeys: false,
    async increment(key): Promise<ClientRateLimitInfo> {
      const resets = new Date(Date.now() + windowMs);
      const rows = await run<{ hits: number; resets_at: Date | string }>(
        `insert into attempt as a (key, hits, resets_at) values (?, 1, ?)
         on conflict (key) do update set
           hits = case when a.resets_at <= now() then 1 else a.hits + 1 end,
           resets_at = case when a.resets_at <= now() then excluded.resets_at else a.resets_at end
         returning hits, resets_at`,
        [keyed(key), resets],
      );
      const row = rows[0]!;
      // What has run out is deleted by whoever begins anew.
      if (row.hits === 1) await run('delete from attempt where resets_at < now()', []);
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

function limit(
  orm: MikroORM,
  name: string,
  most: number,
  key: (request: Request) => string,
): RequestHandler {
  return rateLimit({
    windowMs,
    limit: most,
    store: sharedStore(orm, name),
    keyGenerator: key,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw problem('too_many_attempts', windowMs / 60_000);
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

/**
 * At most ten failed attempts a quarter of an hour by one account, or for one e-mail from one
 * address, and fifty from one address.
 */
export const attemptLimits = (orm: MikroORM): RequestHandler[] => [
  limit(orm, 'caller', 10, byCaller),
  limit(orm, 'address', 50, byAddress),
];
