import type { Request } from 'express';
import { endpoint, type Route } from '../access/endpoint';
import type { Callers } from '../access/callers';
import { Streaming } from '../http/endpoint';
import { changesSince } from './backlog';
import type { ChangeHub } from './hub';
import { streamChanges } from './stream';

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

/** One stream of changes for each choir; readers hear what kind of thing changed, never what. */
export const eventsRoutes = ({ hub, callers }: Sources): readonly Route[] => [
  endpoint('followEvents', ({ em, choir, token, query }) => {
    const maySee = async () =>
      (await callers.whoIs(em.fork(), token, choir.id)).membership !== undefined;
    return Promise.resolve(
      new Streaming((request, response) => {
        const seen = lastSeen(request, query.after);
        const backlog = () => changesSince(em, choir, seen);
        const of = { choir: choir.id, maySee, backlog };
        streamChanges(hub, of, request, response).catch(() => response.end());
      }),
    );
  }),
];
