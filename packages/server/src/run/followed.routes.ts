import { endpoint, type Route } from '../access/endpoint';
import type { ChangeHub, Told } from '../events/hub';
import { streamChanges } from '../events/stream';
import { Streaming } from '../http/endpoint';
import { problem } from '../http/problem';
import {
  findScreen,
  isGoodScreen,
  openRunLink,
  showFollowed,
  showFollowedEvents,
  stepRun,
} from './followed.service';

/** More screens than this do not follow by one link at once. */
const mostScreens = 40;

/** Screens that follow a run by a link, without an account. */
export function followedRoutes({ hub }: { readonly hub: ChangeHub }): readonly Route[] {
  const here = new Map<string, number>();
  const count = (link: string, more: 1 | -1) => {
    const now = (here.get(link) ?? 0) + more;
    if (now > 0) here.set(link, now);
    else here.delete(link);
  };
  return [
    endpoint('openRunLink', ({ em, body }) => openRunLink(em, body.secret)),
    endpoint('showFollowed', ({ em, params }) => showFollowed(em, params.link)),
    endpoint('showFollowedEvents', ({ em, params }) =>
      showFollowedEvents(em, params.link, params.run),
    ),
    endpoint('followRun', async ({ em, params: { link } }) => {
      const { choir, evening, item } = await findScreen(em, link);
      const open = here.get(link) ?? 0;
      if (open >= mostScreens) {
        throw problem('too_many', { of: 'screens', most: mostScreens, here: open });
      }
      // What happened in this run, or that something of it changed, is all that is told.
      const tells = (told: Told): Told | undefined => {
        if (told === 'missed') return told;
        if (told.kind !== 'run' && told.kind !== 'happened') return undefined;
        if (told.evening !== evening.id || told.item !== item) return undefined;
        if (told.kind === 'happened') return told;
        const { id, kind, run, events } = told;
        return { id, kind, run, events };
      };
      return new Streaming((request, response) => {
        count(link, 1);
        request.once('close', () => count(link, -1));
        const of = { choir: choir.id, tells, maySee: () => isGoodScreen(em.fork(), link) };
        streamChanges(hub, of, request, response).catch(() => response.end());
      });
    }),
    endpoint('stepRun', async ({ em, params, body }) => ({
      done: await stepRun(em, params, body),
    })),
  ];
}
