import { randomUUID } from 'node:crypto';
import type { MikroORM } from '@mikro-orm/postgresql';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { accountRoutes } from './account/account.routes';
import { choirRoutes } from './choir/choir.routes';
import { eveningRoutes } from './evening/evening.routes';
import { exercisesRoutes } from './exercises/exercises.routes';
import { health } from './http/health';
import { errorHandler } from './http/errors';
import { attemptLimits } from './http/limits';
import { mount } from './http/mount';
import { pages } from './http/pages';
import { notFound } from './http/problem';
import type { Route } from './http/route';
import { sameOriginOnly, securityHeaders } from './http/security';
import { piecesRoutes } from './pieces/pieces.routes';
import { planRoutes } from './plan/plan.routes';
import { voicesRoutes } from './voices/voices.routes';

/** The largest body that is read: a roster of 2,000 singers or a plan of forty long segments stay below. */
const bodyLimit = '3mb';

/** Every route of the interface, in one list, so that a test can walk them all. */
export const allRoutes = (orm: MikroORM): Route[] => [
  ...accountRoutes(attemptLimits(orm)),
  ...choirRoutes,
  ...eveningRoutes,
  ...exercisesRoutes,
  ...piecesRoutes,
  ...planRoutes,
  ...voicesRoutes,
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

/** The whole application: interface, pages and errors. */
export function createApp(options: {
  readonly orm: MikroORM;
  readonly log: Logger;
  /** The built pages' folder; without it only the interface answers. */
  readonly webRoot?: string;
  /** How many proxies in front are trusted to say who calls, and over what. */
  readonly trustedProxies?: number;
}): Express {
  const { orm, log, webRoot, trustedProxies = 0 } = options;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', trustedProxies);
  app.use(requestLog(log));
  app.use(securityHeaders());
  app.use(compression());
  app.use('/api', sameOriginOnly, express.json({ limit: bodyLimit }));
  app.get('/api/health', health(orm));
  app.use('/api', mount(orm, allRoutes(orm)));
  app.use('/api', () => {
    throw notFound('This address');
  });
  if (webRoot) app.use(pages(webRoot));
  app.use(errorHandler(log));
  return app;
}
