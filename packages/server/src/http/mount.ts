import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import {
  described,
  namedIds,
  placeOf,
  uuid,
  type Described,
  type EndpointName,
} from '@wide-fern/contract';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import compression from 'compression';
import { parse as parseCookies } from 'cookie';
import {
  Router,
  type CookieOptions,
  type Request,
  type RequestHandler,
  type Response,
} from 'express';
import { checkedBody, checkedQuery, readBody } from './body';
import {
  refuseUnlessAllowed,
  Streaming,
  WithSession,
  Written,
  type Call,
  type Route,
  type SessionCookie,
  type Who,
} from './endpoint';
import { callerIs, type Limits } from './limits';
import { notFound } from './problem';
import { refuseWhenFull, type FreeBytes } from './diskGuard';
import { withReceived } from './received';
import { findUnstorable } from './storable';

const sessionCookie = 'wide_fern_session';

/** What the routes rest on that this folder knows nothing of. */
export interface Mounting<Account, Choir> {
  readonly orm: MikroORM;
  /** Who a token belongs to, and that account's place in a choir. */
  readonly whoIs: (
    em: EntityManager,
    token: string | undefined,
    choir: string | undefined,
  ) => Promise<Who<Account, Choir>>;
  /** By what attempts of an account are counted. */
  readonly idOf: (account: Account) => string;
  /** Counts calls of endpoints that limit them. */
  readonly limits: Limits;
  /** Told when an endpoint that changes something has done so. */
  readonly changed?: (name: EndpointName) => void;
  /** Refuses what is not done in a choir of its kind, whoever asks. */
  readonly refuse?: (choir: () => Choir, name: EndpointName) => void;
  /** How much room is left where the data lies. */
  readonly free?: FreeBytes;
  /** Whether every reply is checked against the contract: in tests. */
  readonly checkReplies?: boolean;
}

/** Agenda items and exercises have ids of their own; all others in paths are UUIDs, or simply not here. */
function checkIds(params: Readonly<Record<string, string>>): void {
  if (findUnstorable(params)) throw notFound();
  for (const [name, value] of Object.entries(params)) {
    if (!namedIds.includes(name) && !uuid.safeParse(value).success) throw notFound();
  }
}

function setSession(request: Request, response: Response, session: SessionCookie): void {
  const cookie: CookieOptions = {
    httpOnly: true,
    sameSite: 'lax',
    secure: request.secure,
    path: '/',
  };
  if (session === null) response.clearCookie(sessionCookie, cookie);
  else {
    response.cookie(sessionCookie, session.token, { ...cookie, expires: session.expiresAt });
  }
}

/** Answers shorter than this are not worth making smaller. */
const leastToCompress = 1024;
const compressed = compression();

function send(
  request: Request,
  response: Response,
  { reply, makes }: Described,
  body: unknown,
): void {
  response.setHeader('Cache-Control', 'no-store');
  if (reply === undefined) {
    response.status(204).end();
    return;
  }
  if (reply === 'file') {
    const { name, ...file } = body as { name: string } & (
      { bytes: Buffer } | { chunks: AsyncIterable<Uint8Array> }
    );
    if ('chunks' in file) {
      response.attachment(name).type('application/octet-stream');
      // One that breaks off is seen as one that was cut off.
      pipeline(Readable.from(file.chunks), response).catch(() => response.destroy());
      return;
    }
    const { bytes } = file;
    compressed(request, response, () => {
      response.attachment(name).type('application/octet-stream').send(bytes);
    });
    return;
  }
  const json = body instanceof Written ? body.json : JSON.stringify(body);
  response.statusCode = makes ? 201 : 200;
  response.setHeader('Content-Type', 'application/json; charset=utf-8');
  if (json.length < leastToCompress) response.end(json);
  else compressed(request, response, () => response.end(json));
}

/** Holds a reply against its schema as a reader would find it, after it has been JSON. */
function checkReply(name: EndpointName, reply: unknown): void {
  const schema = described(name).reply;
  if (typeof schema !== 'object') return;
  const result = schema.safeParse(JSON.parse(JSON.stringify(reply)));
  if (!result.success) {
    throw new Error(`The reply of ${name} is not as promised: ${result.error.message}`);
  }
}

/** Runs the limits one after the other; each may refuse. */
async function count(limits: readonly RequestHandler[], request: Request, response: Response) {
  for (const limit of limits) {
    await new Promise<void>((done, failed) => {
      void Promise.resolve(
        limit(request, response, (error?: unknown) => {
          if (error === undefined) done();
          else failed(error instanceof Error ? error : new Error('Refused.'));
        }),
      ).catch(failed);
    });
  }
}

/**
 * Puts the routes on a router. For each call, in this order: the ids in the path, who calls and
 * whether they may, the body, its limits, what it says, and only then the handler.
 */
export function mount<Account, Choir>(
  routes: readonly Route<Account, Choir>[],
  {
    orm,
    whoIs,
    idOf,
    limits,
    refuse,
    changed,
    free,
    checkReplies = false,
  }: Mounting<Account, Choir>,
): Router {
  const router = Router();
  for (const route of routes) {
    const one = described(route.name);
    const { method, path } = placeOf(route.name);
    const handler: RequestHandler = async (request, response) => {
      const em = orm.em.fork();
      const token = parseCookies(request.headers.cookie ?? '')[sessionCookie];
      const params = request.params as Record<string, string>;
      checkIds(params);
      // Who calls what is open to anyone is asked only where it is counted.
      const isAsked = route.access !== 'anyone' || one.limited !== undefined;
      const who = await whoIs(em, isAsked ? token : undefined, params.choir);
      refuseUnlessAllowed(route.access, who);
      if (free) await refuseWhenFull({ name: route.name, method }, free);
      await readBody(one, request, response);
      if (one.limited) {
        if (who.isKnown && who.account) callerIs(request, idOf(who.account));
        await count(limits[one.limited], request, response);
      }
      const query = checkedQuery(route.name, request);
      const { membership } = who;
      if (membership) refuse?.(() => membership.choir, route.name);
      const userAgent = request.headers['user-agent'] ?? '';
      const handle = (body: unknown) => {
        const call = { em, params, query, body, token, userAgent };
        return route.handle(call as unknown as Call<EndpointName>, who);
      };
      const answer =
        one.file === undefined
          ? await handle(checkedBody(route.name, request))
          : await withReceived(
              request,
              { ...one.file, sender: params.choir ?? (who.account as { id: string }).id },
              handle,
            );
      if (method !== 'GET') changed?.(route.name);
      if (answer instanceof Streaming) {
        answer.start(request, response);
        return;
      }
      const withSession = answer instanceof WithSession;
      const reply: unknown = withSession ? answer.reply : answer;
      if (checkReplies)
        checkReply(route.name, reply instanceof Written ? JSON.parse(reply.json) : reply);
      if (withSession) setSession(request, response, answer.session);
      send(request, response, one, reply);
    };
    router[method.toLowerCase() as Lowercase<typeof method>](path, handler);
  }
  return router;
}
