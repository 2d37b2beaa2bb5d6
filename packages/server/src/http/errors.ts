import { randomUUID } from 'node:crypto';
import { ConnectionException, OptimisticLockError } from '@mikro-orm/postgresql';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { notFound, Problem } from './problem';

/** Errors of the body parser and of the static files say what they are by `type` and `status`. */
interface ParserError {
  readonly type?: string;
  readonly status?: number;
}

const hasCode = (error: unknown): error is { code: string } =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string';

/** The database is stopping, starting, or gone: SQLSTATE classes 08 and 57P, sockets, a pool that waits in vain. */
function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionException) return true;
  if (error instanceof Error && error.name === 'KnexTimeoutError') return true;
  if (hasCode(error) && /^(08|57P|ECONN|EPIPE|ENOTFOUND)/.test(error.code)) return true;
  if (error instanceof Error && /Connection terminated|connection.*closed/i.test(error.message)) {
    return true;
  }
  return error instanceof Error && error.cause !== undefined && isDatabaseAway(error.cause);
}

function asProblem(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error;
  if (error instanceof OptimisticLockError) return changedMeanwhile();
  const { type, status } = error as ParserError;
  if (type === 'entity.too.large') {
    return new Problem(413, 'too_large', 'This is too much at once; send less.');
  }
  if (type === 'entity.parse.failed') {
    return new Problem(400, 'bad_json', 'The body is no JSON. Check how it is written.');
  }
  if (status === 404) return notFound('This address');
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return new Problem(status, 'bad_request', 'This request could not be read.');
  }
  if (error instanceof URIError)
    return new Problem(400, 'bad_request', 'This address is not valid.');
  if (isDatabaseAway(error)) {
    return new Problem(
      503,
      'database_away',
      'The database cannot be reached just now. Nothing was changed; try again in a moment.',
    );
  }
  return undefined;
}

/** Someone else saved in between. */
export const changedMeanwhile = () =>
  new Problem(409, 'changed_meanwhile', 'This was changed meanwhile. Look at both and choose.');

/** Turns whatever was thrown into the one error shape; what nobody expected is logged with an id and shown with it. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = asProblem(error);
    if (known) {
      if (known.status >= 500) log.warn({ err: error }, known.code);
      response.status(known.status).json(known.body);
      return;
    }
    const id = randomUUID().slice(0, 8);
    log.error({ err: error, errorId: id }, 'unexpected');
    const problem = new Problem(
      500,
      'unexpected',
      `Something went wrong on the server (${id}). Nothing was changed; try again, and tell who runs it if it stays.`,
    );
    response.status(500).json(problem.body);
  };
}
