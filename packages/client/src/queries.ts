import { QueryCache, QueryClient, queryOptions } from '@tanstack/react-query';
import type {
  Choir,
  ChoirExercises,
  Evening,
  ExerciseVersion,
  EveningSummary,
  KeptCheck,
  Member,
  Piece,
  PieceSummary,
  Plan,
  Presence,
  Session,
  Singer,
  Template,
  Voices,
} from '@wide-fern/contract';
import { ApiError, ask } from './call/call';

/** The server's state as the pages hold it. */
export const queryClient: QueryClient = new QueryClient({
  queryCache: new QueryCache({
    onError: (error) => {
      // The session has ended: whoever goes to another page is asked to sign in.
      if (error instanceof ApiError && error.status === 401) {
        queryClient.removeQueries({ queryKey: ['session'] });
      }
    },
  }),
  defaultOptions: {
    queries: {
      // An error that will not pass is shown at once.
      retry: (count, error) => error instanceof ApiError && error.mayPass && count < 2,
      staleTime: 10_000,
    },
  },
});

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: ({ signal }) => ask<Session>('/session', { signal }),
  staleTime: 60_000,
});

export const choirQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir],
    queryFn: ({ signal }) => ask<Choir>(`/choirs/${choir}`, { signal }),
    staleTime: 60_000,
  });

export const membersQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'members'],
    queryFn: ({ signal }) => ask<Member[]>(`/choirs/${choir}/members`, { signal }),
  });

export const eveningsQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'evenings'],
    queryFn: ({ signal }) => ask<EveningSummary[]>(`/choirs/${choir}/evenings`, { signal }),
  });

export const eveningQuery = (choir: string, evening: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'evenings', evening],
    queryFn: ({ signal }) => ask<Evening>(`/choirs/${choir}/evenings/${evening}`, { signal }),
  });

/** Where a plan is stored. */
export interface PlanPlace {
  readonly choir: string;
  readonly evening: string;
  readonly item: string;
}
export const planPath = ({ choir, evening, item }: PlanPlace): string =>
  `/choirs/${choir}/evenings/${evening}/plans/${item}`;

export const planQuery = (place: PlanPlace) =>
  queryOptions({
    queryKey: ['choir', place.choir, 'plan', place.evening, place.item],
    queryFn: async ({ signal }) =>
      (await ask<{ plan: Plan | null }>(planPath(place), { signal })).plan,
  });

/** The built-in exercises, fetched with the first page that wants them. */
export const builtInQuery = queryOptions({
  queryKey: ['built-in exercises'],
  queryFn: async () => (await import('@wide-fern/catalogue')).exercises,
  staleTime: Infinity,
});

export const exercisesPath = (choir: string): string => `/choirs/${choir}/exercises`;

/** A choir's own exercises, its marks on all of them, and when each was last used. */
export const exercisesQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'exercises'],
    queryFn: ({ signal }) => ask<ChoirExercises>(exercisesPath(choir), { signal }),
  });

export const versionsQuery = (choir: string, exercise: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'exercises', exercise, 'versions'],
    queryFn: ({ signal }) =>
      ask<ExerciseVersion[]>(`${exercisesPath(choir)}/${exercise}/versions`, { signal }),
  });

export const voicesQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'voices'],
    queryFn: ({ signal }) => ask<Voices>(`/choirs/${choir}/voices`, { signal }),
  });

/** The roster: persons, so only for those who lead. */
export const singersQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'singers'],
    queryFn: ({ signal }) => ask<Singer[]>(`/choirs/${choir}/singers`, { signal }),
  });

export const checksQuery = (choir: string, singer: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'singers', singer, 'checks'],
    queryFn: ({ signal }) =>
      ask<KeptCheck[]>(`/choirs/${choir}/singers/${singer}/checks`, { signal }),
  });

export const presencePath = (choir: string, evening: string): string =>
  `/choirs/${choir}/evenings/${evening}/presence`;

export const presenceQuery = (choir: string, evening: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'evenings', evening, 'presence'],
    queryFn: ({ signal }) => ask<Presence>(presencePath(choir, evening), { signal }),
  });

export const piecesPath = (choir: string): string => `/choirs/${choir}/pieces`;
export const piecePath = (choir: string, piece: string): string => `${piecesPath(choir)}/${piece}`;

export const piecesQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'pieces'],
    queryFn: ({ signal }) => ask<PieceSummary[]>(piecesPath(choir), { signal }),
  });

export const pieceQuery = (choir: string, piece: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'pieces', piece],
    queryFn: ({ signal }) => ask<Piece>(piecePath(choir, piece), { signal }),
  });

export const templatesQuery = (choir: string) =>
  queryOptions({
    queryKey: ['choir', choir, 'templates'],
    queryFn: ({ signal }) => ask<Template[]>(`/choirs/${choir}/templates`, { signal }),
  });
