import { QueryCache, QueryClient, type DataTag } from '@tanstack/query-core';
import type { EndpointName, ParamsOf, Plan, ReplyOf } from '@wide-fern/contract';
import { paths } from '@wide-fern/contract';
import { forgetAnswers } from './device/offline';
import { ApiError, call, callAll, type Asked, type ItemOf, type PagedName } from './call/call';

/** The server's state as the pages hold it. */
export const queryClient: QueryClient = new QueryClient({
  queryCache: new QueryCache({
    onError: (error) => {
      // The session has ended: whoever goes to another page is asked to sign in.
      if (error instanceof ApiError && error.status === 401) {
        queryClient.removeQueries({ queryKey: sessionQuery.queryKey });
        void forgetAnswers();
      }
    },
  }),
  defaultOptions: {
    // The server is asked whatever the browser thinks of the network: what cannot be fetched is said.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      // An error that will not pass is shown at once.
      retry: (count, error) => error instanceof ApiError && error.mayPass && count < 2,
      staleTime: 10_000,
    },
  },
});

type Key = readonly string[];

/** The key under which an endpoint's answer is held: the words of its path. What lies below is part of it. */
export const keyOf = (name: EndpointName, params: Readonly<Record<string, string>> = {}): Key =>
  paths[name]
    .slice(paths[name].indexOf('/') + 1)
    .split('/')
    .map((word) => (word.startsWith(':') ? (params[word.slice(1)] ?? '') : word));

interface Query<T> {
  readonly queryKey: DataTag<Key, T>;
  readonly queryFn: (context: { readonly signal: AbortSignal }) => Promise<T>;
}

const query = <N extends EndpointName>(name: N, params: ParamsOf<N>): Query<ReplyOf<N>> => ({
  queryKey: keyOf(name, params) as DataTag<Key, ReplyOf<N>>,
  queryFn: ({ signal }) => call(name, { params, signal } as unknown as Asked<N>),
});
const list = <N extends PagedName>(name: N, params: ParamsOf<N>): Query<ItemOf<N>[]> => ({
  queryKey: keyOf(name, params) as DataTag<Key, ItemOf<N>[]>,
  queryFn: ({ signal }) => callAll(name, { params, signal } as unknown as Asked<N>),
});

/** Whoever is signed out, here or from elsewhere, leaves nothing to read on this device. */
const showSession = query('showSession', {});
export const sessionQuery = {
  ...showSession,
  queryFn: async (context: { readonly signal: AbortSignal }) => {
    const session = await showSession.queryFn(context);
    if (!session.account) await forgetAnswers();
    return session;
  },
  staleTime: 60_000,
};
export const choirQuery = (choir: string) => ({
  ...query('showChoir', { choir }),
  staleTime: 60_000,
});
/** The browsers one is signed in with. */
export const browsersQuery = query('listBrowsers', {});
export const invitationsQuery = (choir: string) => query('listInvitations', { choir });
/** How much a choir keeps, of how much it may. */
export const roomQuery = (choir: string) => ({
  ...query('showRoom', { choir }),
  staleTime: 300_000,
});
export const membersQuery = (choir: string) => query('listMembers', { choir });
export const eveningsQuery = (choir: string) => list('listEvenings', { choir });
export const eveningQuery = (choir: string, evening: string) =>
  query('showEvening', { choir, evening });
/** Plans that are kept to begin from. */
export const keptPlansQuery = (choir: string) => query('listKeptPlans', { choir });
export const keptPlanQuery = (choir: string, template: string) =>
  query('showKeptPlan', { choir, template });
export const templatesQuery = (choir: string) => query('listTemplates', { choir });

/** Where a plan is stored. */
export type PlanPlace = ParamsOf<'showPlan'>;
export const planQuery = (place: PlanPlace): Query<Plan | null> => ({
  queryKey: keyOf('showPlan', place) as DataTag<Key, Plan | null>,
  queryFn: async ({ signal }) => (await call('showPlan', { params: place, signal })).plan,
});

/** A choir's own exercises, its marks on all of them, and when each was last used. */
export const exercisesQuery = (choir: string) => query('showExercises', { choir });
/** The links by which others read a plan's sheets. */
export const planLinksQuery = (place: PlanPlace) => query('listPlanLinks', place);
/** What singers sent from home; of persons, so only for those who lead. */
export const answersQuery = (choir: string) => query('listAnswers', { choir });
/** When a warm-up was led, the latest first. */
export const runsQuery = (place: PlanPlace) => query('listRuns', place);
/** What the exercises of a choir took when they were led, the latest first. */
export const ledOnceQuery = (choir: string) => query('listLedOnce', { choir });
/** What a choir did in so many weeks. */
export const logbookQuery = (choir: string, weeks: number): Query<ReplyOf<'showLogbook'>> => ({
  queryKey: [...keyOf('showLogbook', { choir }), weeks] as unknown as DataTag<
    Key,
    ReplyOf<'showLogbook'>
  >,
  queryFn: ({ signal }) => call('showLogbook', { params: { choir }, query: { weeks }, signal }),
});
/** One time it was led, with what it began with, which never changes. */
export const runQuery = (place: PlanPlace, run: string) => ({
  ...query('showRun', { ...place, run }),
  staleTime: Infinity,
});
/** What happened in it, as it happens. */
export const runEventsQuery = (place: PlanPlace, run: string) =>
  query('showRunEvents', { ...place, run });
/** What a screen sees that follows by a link. */
export const followedQuery = (link: string) => query('showFollowed', { link });
export const followedEventsQuery = (link: string, run: string) =>
  query('showFollowedEvents', { link, run });
/** What was saved of a plan, the newest first. */
export const planVersionsQuery = ({ choir, evening, item }: PlanPlace) =>
  list('listPlanVersions', { choir, evening, item });
/** A plan as it was in one of them; it never changes. */
export const planVersionQuery = ({ choir, evening, item }: PlanPlace, version: number) => ({
  ...query('showPlanVersion', { choir, evening, item, version: String(version) }),
  staleTime: Infinity,
});

export const exerciseVersionsQuery = (choir: string, exercise: string) =>
  list('listExerciseVersions', { choir, exercise });

export const piecesQuery = (choir: string) => list('listPieces', { choir });
export const pieceQuery = (choir: string, piece: string) => query('showPiece', { choir, piece });
/** The pieces that wait for a card of one's own. */
export const awaitedQuery = (choir: string) => query('listAwaited', { choir });
/** Runs of a piece that several judge; below the piece, so that both are old together. */
export const judgingsQuery = (choir: string, piece: string) =>
  query('listJudgings', { choir, piece });

export const voicesQuery = (choir: string) => query('showVoices', { choir });
/** The roster: persons, so only for those who lead. */
export const singersQuery = (choir: string) => list('listSingers', { choir });
export const checksQuery = (choir: string, singer: string) => list('listChecks', { choir, singer });
export const presenceQuery = (choir: string, evening: string) =>
  query('showPresence', { choir, evening });
/** How sure the sections of an evening are; of persons, so only for those who lead. */
export const surenessQuery = (choir: string, evening: string) =>
  query('showSureness', { choir, evening });
