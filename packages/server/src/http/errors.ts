import { randomUUID } from 'node:crypto';
import { ConnectionException, OptimisticLockError } from '@mikro-orm/postgresql';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { notFound, problem, Problem } from './problem';

/** Errors of the body parser and of the static files say what they are by `type` and `status`. */
interface ParserError {
  readonly type?: string;
  readonly status?: number;
}

const hasCode = (error: unknown): error is { code: string } =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string';

/**
 * The database is stopping, starting, or gone: SQLSTATE classes 08 and 57P, sockets, a pool that waits
 * in vain. A message it could not read (08P01) is ours to answer for.
 */
function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionException) return true;
  if (error instanceof Error && error.name === 'KnexTimeoutError') return true;
  if (hasCode(error) && /^(08(?!P01)|57P|ECONN|EPIPE|ENOTFOUND)/.test(error.code)) return true;
  if (
    error instanceof Error &&
    /Connection terminated|connection.*closed|^aborted$/i.test(error.message)
  ) {
    return true;
  }
  return error instanceof Error && error.cause !== undefined && isDatabaseAway(error.cause);
}

/** What the database would not take: a value it cannot hold, or a row that another one stands against. */
function refusedByDatabase(error: unknown): Problem | undefined {
  if (!hasCode(error)) return undefined;
  if (error.code.startsWith('22') || error.code === '08P01') {
    return problem('invalid', { what: 'body' });
  }
  // Out of disk: nothing was stored, and reading goes on.
  if (error.code === '53100') return problem('disk_full');
  // Unique, or what it belongs to has gone: somebody was faster.
  return error.code.startsWith('23') ? problem('changed_meanwhile') : undefined;
}

function asProblem(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error;
  if (error instanceof OptimisticLockError) return problem('changed_meanwhile');
  const { type, status } = error as ParserError;
  if (type === 'entity.too.large') return problem('too_large', 'body');
  if (type === 'entity.parse.failed') return problem('bad_json', 'broken');
  if (status === 404) return notFound('address');
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return problem('bad_request', 'request');
  }
  if (error instanceof URIError) return problem('bad_request', 'address');
  return refusedByDatabase(error) ?? (isDatabaseAway(error) ? problem('database_away') : undefined);
}

/** Turns whatever was thrown into the one error shape; what nobody expected is logged with an id and shown with it. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = asProblem(error);
    if (known && known.status >= 500) log.warn({ err: error }, known.code);
    const id = randomUUID().slice(0, 8);
    if (!known) log.error({ err: error, errorId: id }, 'unexpected');
    const { status, body } = known ?? problem('unexpected', id);
    response.status(status).json(body);
  };
}
