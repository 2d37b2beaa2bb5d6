import type { EntityManager } from '@mikro-orm/postgresql';
import { missedEvents } from '@wide-fern/contract';
import type { Request, Response } from 'express';
import { endpoint, type Route } from '../access/endpoint';
import type { Callers } from '../access/callers';
import type { Choir } from '../db/entities/choir';
import { Streaming } from '../http/endpoint';
import { changesSince } from './backlog';
import type { ChangeHub, Told } from './hub';

/** Something is sent at least so often, so that a dead connection is noticed. */
const beat = 20_000;
/** A browser that lost the stream tries again after so long. */
const retry = 1_000;

const written = (told: Told): string =>
  told === 'missed'
    ? `event: ${missedEvents}\ndata: \n\n`
    : `id: ${told.id}\nevent: change\ndata: ${JSON.stringify(told)}\n\n`;

/** The last event somebody saw: the browser names it by itself after a break, a page by its address. */
function lastSeen(request: Request, after: string | undefined): number | undefined {
  const said = request.headers['last-event-id'] ?? after;
  return typeof said === 'string' && /^\d{1,15}$/.test(said) ? Number(said) : undefined;
}

/** Where changes come from, and who is asked whether somebody may still hear of them. */
export interface Sources {
  readonly hub: ChangeHub;
  readonly callers: Callers;
}

interface Following {
  readonly em: EntityManager;
  readonly choir: Choir;
  readonly token: string | undefined;
  readonly after: string | undefined;
}

/** Sends what changes in a choir for as long as the connection lasts and its caller may read. */
async function follow(
  { hub, callers }: Sources,
  { em, choir, token, after }: Following,
  request: Request,
  response: Response,
): Promise<void> {
  // Nothing is missed between the backlog and what is told from now on: what comes meanwhile waits.
  let waiting: Told[] | undefined = [];
  let sent = 0;
  const send = (told: Told) => {
    if (told !== 'missed' && told.id <= sent) return;
    if (told !== 'missed') sent = told.id;
    response.write(written(told));
  };
  const stop = await hub.subscribe(choir.id, (told) => {
    if (waiting) waiting.push(told);
    else send(told);
  });
  const pulse = setInterval(() => {
    response.write(': \n\n');
    void callers
      .whoIs(em.fork(), token, choir.id)
      .then(({ membership }) => {
        if (!membership) response.end();
      })
      // The database is away: whoever may read is asked at the next beat.
      .catch(() => undefined);
  }, beat);
  const end = () => {
    clearInterval(pulse);
    stop();
  };
  request.once('close', end);
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store',
    'X-Accel-Buffering': 'no',
  });
  response.write(`retry: ${retry}\n\n`);
  const seen = lastSeen(request, after);
  if (seen !== undefined) for (const told of await changesSince(em, choir, seen)) send(told);
  for (const told of waiting) send(told);
  waiting = undefined;
}

/** One stream of changes for each choir; readers hear what kind of thing changed, never what. */
export const eventsRoutes = (sources: Sources): readonly Route[] => [
  endpoint('followEvents', ({ em, choir, token, query }) => {
    const following = { em, choir, token, after: query.after };
    return Promise.resolve(
      new Streaming((request, response) => {
        follow(sources, following, request, response).catch(() => response.end());
      }),
    );
  }),
];
