import type { MikroORM } from '@mikro-orm/postgresql';
import { uuid } from '@wide-fern/contract';
import { parse as parseCookies } from 'cookie';
import express, { Router, type CookieOptions, type Request, type Response } from 'express';
import { accountOf } from '../account/session.service';
import { membershipOf } from '../choir/choir.service';
import { notFound, Problem } from './problem';
import { mayUse, type Reply, type Route, type Who } from './route';

export const sessionCookie = 'wide_fern_session';

/** Agenda items and exercises have ids of their own; all others in paths are UUIDs, or simply not here. */
const namedIds = ['item', 'exercise'];
function checkIds(params: Readonly<Record<string, string>>): void {
  for (const [name, value] of Object.entries(params)) {
    if (!namedIds.includes(name) && !uuid.safeParse(value).success) throw notFound();
  }
}

/** Reads a body that is a file. */
async function readRaw(request: Request, response: Response, limit: number): Promise<void> {
  const type = () => true;
  await new Promise<void>((done, failed) => {
    express.raw({ type, limit })(request, response, (error?: unknown) => {
      if (error === undefined) done();
      else failed(error instanceof Error ? error : new Error('This body could not be read.'));
    });
  });
}

function checkedBody(route: Route, request: Request): unknown {
  if (!route.body) return undefined;
  if (request.body === undefined) {
    throw new Problem(400, 'bad_json', 'Send a JSON body with the content type application/json.');
  }
  const result = route.body.safeParse(request.body);
  if (result.success) return result.data;
  const fields: Record<string, string> = {};
  for (const { path, message } of result.error.issues.slice(0, 20)) {
    fields[path.join('.') || 'body'] ??= message;
  }
  const [first] = Object.values(fields);
  throw new Problem(400, 'invalid', first ?? 'Something in this is not as expected.', fields);
}

/** The first text of each name behind the question mark. */
const firstOfEach = (query: Request['query']): Record<string, string> =>
  Object.fromEntries(
    Object.entries(query).flatMap(([name, value]) => {
      const first: unknown = Array.isArray(value) ? value[0] : value;
      return typeof first === 'string' ? [[name, first]] : [];
    }),
  );

function send(request: Request, response: Response, reply: Reply): void {
  const cookie: CookieOptions = {
    httpOnly: true,
    sameSite: 'lax',
    secure: request.secure,
    path: '/',
  };
  if (reply.session === null) response.clearCookie(sessionCookie, cookie);
  else if (reply.session) {
    response.cookie(sessionCookie, reply.session.token, {
      ...cookie,
      expires: reply.session.expiresAt,
    });
  }
  response.setHeader('Cache-Control', 'no-store');
  if (reply.file) {
    response.attachment(reply.file.name).type('application/octet-stream').send(reply.file.bytes);
    return;
  }
  if (reply.body === undefined) response.status(reply.status ?? 204).end();
  else response.status(reply.status ?? 200).json(reply.body);
}

/** Puts the routes on a router: ids and bodies checked, the caller known, one transaction scope a call. */
export function mount(orm: MikroORM, routes: readonly Route[]): Router {
  const router = Router();
  for (const route of routes) {
    router[route.method](route.path, ...(route.before ?? []), async (request, response) => {
      const em = orm.em.fork();
      const token = parseCookies(request.headers.cookie ?? '')[sessionCookie];
      const params = request.params as Record<string, string>;
      checkIds(params);
      const account = await accountOf(em, token);
      const membership =
        account && params.choir ? await membershipOf(em, account, params.choir) : undefined;
      const who: Who = { account, membership };
      // A stranger learns nothing from what is wrong with the body.
      const mayGoOn = route.access === 'anyone' || (account && (!params.choir || membership));
      const mayReply = mayGoOn && (!membership || mayUse(route, membership.role));
      if (mayReply && route.raw) await readRaw(request, response, route.raw);
      const body = mayGoOn && (mayReply || !route.raw) ? checkedBody(route, request) : undefined;
      const query = firstOfEach(request.query);
      send(request, response, await route.handle({ em, params, query, body, token }, who));
    });
  }
  return router;
}
