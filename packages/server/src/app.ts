import { randomUUID } from 'node:crypto';
import type { MikroORM } from '@mikro-orm/postgresql';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { openApi, type EndpointName } from '@wide-fern/contract';
import type { Route } from './access/endpoint';
import { Callers } from './access/callers';
import { accountRoutes, type AccountSettings } from './account/account.routes';
import { choirRoutes } from './choir/choir.routes';
import { refuseInDemo } from './demo/demo.service';
import { demoRoutes } from './demo/demo.routes';
import { eveningRoutes } from './evening/evening.routes';
import { eventsRoutes } from './events/events.routes';
import { followedRoutes } from './run/followed.routes';
import type { ChangeHub } from './events/hub';
import { exercisesRoutes } from './exercises/exercises.routes';
import type { FreeBytes } from './http/diskGuard';
import { health } from './http/health';
import { errorHandler } from './http/errors';
import { callLimits } from './http/limits';
import { mount } from './http/mount';
import { pages } from './http/pages';
import { notFound } from './http/problem';
import {
  permissions,
  sameOriginOnly,
  securityHeaders,
  strictTransport,
  unlisted,
} from './http/security';
import type { Mailer } from './mail/mailer';
import { piecesRoutes } from './pieces/pieces.routes';
import { planRoutes } from './plan/plan.routes';
import { runRoutes } from './run/run.routes';
import { presenceRoutes } from './presence/presence.routes';
import { voicesRoutes } from './voices/voices.routes';
import { wholeRoutes } from './whole/whole.routes';

/** What the routes rest on beside the database. */
export interface RouteSettings extends AccountSettings {
  readonly hub: ChangeHub;
}

/** Every route of the interface, in one list, so that a test can walk them all. */
export const allRoutes = ({ hub, ...settings }: RouteSettings): Route[] => [
  ...accountRoutes(settings),
  ...choirRoutes(settings.hasDemo),
  ...demoRoutes(settings.hasDemo),
  ...eveningRoutes,
  ...eventsRoutes({ hub, callers: settings.callers }),
  ...followedRoutes({ hub }),
  ...exercisesRoutes,
  ...piecesRoutes,
  ...planRoutes,
  ...runRoutes,
  ...presenceRoutes,
  ...voicesRoutes,
  ...wholeRoutes,
];

/** Logs each request by its route, never by what was in it: no ids of persons, no bodies, no queries. */
const requestLog =
  (log: Logger): express.RequestHandler =>
  (request, response, next) => {
    const id = randomUUID();
    const began = performance.now();
    response.setHeader('X-Request-Id', id);
    response.on('finish', () => {
      const route = (request.route as { path?: string } | undefined)?.path ?? '(page)';
      const ms = Math.round(performance.now() - began);
      const level = response.statusCode >= 500 ? 'error' : 'info';
      log[level]({ id, method: request.method, route, status: response.statusCode, ms }, 'request');
    });
    next();
  };

/** The interface described for other programs; made when it is first asked for. */
function description(): express.RequestHandler {
  let made: unknown;
  return (_request, response) => {
    response.json((made ??= openApi()));
  };
}

/** Enough for a section that signs up in one room, too few for a program. */
const usualCalls = 60;

/** What is stored most often, and changes nothing of who may call. */
const touchesNobody: readonly EndpointName[] = ['savePlan', 'changePlan', 'changePresence'];

/** The whole application: interface, pages and errors. */
export function createApp(options: {
  readonly orm: MikroORM;
  readonly log: Logger;
  readonly hub: ChangeHub;
  /** The built pages' folder; without it only the interface answers. */
  readonly webRoot?: string;
  /** How many proxies in front are trusted to say who calls, and over what. */
  readonly trustedProxies?: number;
  /** Whether every reply is checked against the contract: in tests. */
  readonly checkReplies?: boolean;
  /** How mails leave. */
  readonly mailer: Mailer;
  /** The address of our pages, for the links in mails: «https://choir.example.org». */
  readonly publicUrl: string;
  /** How much room is left where the data lies. */
  readonly free?: FreeBytes;
  /** Whether there is a demo to look at. */
  readonly hasDemo?: boolean;
  /** So many sign-ups, visits to the demo, invitations or uploads one address or account may make in a quarter of an hour. */
  readonly mostCalls?: number;
  /** So long a caller is remembered without asking the database. */
  readonly rememberSeconds?: number;
}): Express {
  const { orm, log, hub, webRoot, trustedProxies = 0, checkReplies = false } = options;
  const {
    mailer,
    publicUrl,
    free,
    hasDemo = true,
    mostCalls = usualCalls,
    rememberSeconds = 5,
  } = options;
  const callers = new Callers(rememberSeconds);
  if (rememberSeconds > 0) hub.onSignIns(callers.forget);
  const app = express();
  app.disable('x-powered-by');
  // Answers of the interface are never kept, so nothing is asked about them again; pages have their own.
  app.disable('etag');
  app.set('trust proxy', trustedProxies);
  app.use(requestLog(log));
  app.use(securityHeaders(), permissions, unlisted, strictTransport);
  app.use('/api', sameOriginOnly(publicUrl));
  app.get('/api/health', health(orm));
  app.get('/api/openapi.json', compression(), description());
  app.use(
    '/api',
    mount(allRoutes({ hub, hasDemo, callers, post: { mailer, publicUrl, log } }), {
      orm,
      whoIs: callers.whoIs,
      changed: (name) => {
        if (!touchesNobody.includes(name)) callers.forget();
      },
      idOf: ({ id }) => id,
      limits: callLimits(orm, mostCalls),
      refuse: refuseInDemo,
      ...(free ? { free } : {}),
      checkReplies,
    }),
  );
  app.use('/api', () => {
    throw notFound('address');
  });
  if (webRoot) app.use(compression(), pages(webRoot));
  app.use(errorHandler(log));
  return app;
}
