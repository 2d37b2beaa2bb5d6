import { useQuery } from '@tanstack/react-query';
import { eveningsQuery, exercisesQuery, ledOnceQuery } from '@wide-fern/client';
import type { Evening, Exercise, PlanDocument } from '@wide-fern/contract';
import type { Known } from '@wide-fern/plan';
import { useMemo } from 'react';
import { builtInQuery } from './builtIn';
import { useHere } from './session';

/** What has to be known before a warm-up is built: on its way, failed, or there. */
export type KnownState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly error: unknown; readonly retry: () => void }
  | {
      readonly kind: 'ready';
      readonly known: Known;
      /** Every exercise there is, by its id. */
      readonly exercises: ReadonlyMap<string, Exercise>;
    };

/** Gathers what is known: the choir's exercises and when they were led, its evenings, and the plan as it is. */
export function useKnown(
  evening: Evening,
  item: string,
  document: PlanDocument,
  allotted: number,
): KnownState {
  const { choir } = useHere();
  const builtIn = useQuery(builtInQuery);
  const own = useQuery(exercisesQuery(choir.id));
  const evenings = useQuery(eveningsQuery(choir.id));
  // Where it does not come, keys that were given up are not gone by.
  const { data: led, isLoading, failureCount } = useQuery(ledOnceQuery(choir.id));
  const isLedOnItsWay = isLoading && failureCount === 0;
  const exercises = useMemo(
    () =>
      new Map(
        [...(builtIn.data ?? []), ...(own.data?.own ?? [])].map((one) => [one.id, one] as const),
      ),
    [builtIn.data, own.data],
  );
  const known = useMemo((): Known | undefined => {
    if (!own.data || !evenings.data || isLedOnItsWay) return undefined;
    return {
      ...{ choir, document, allotted, evening },
      isCoolDown: evening.agenda.some(({ id, kind }) => id === item && kind === 'cool-down'),
      evenings: evenings.data.map(({ startsAt }) => startsAt),
      exercises: own.data,
      led,
    };
  }, [choir, document, allotted, evening, item, own.data, evenings.data, isLedOnItsWay, led]);
  if (known && builtIn.data) return { kind: 'ready', known, exercises };
  const queries = [builtIn, own, evenings];
  const failed = queries.find(({ error }) => error);
  if (failed) {
    const retry = () => {
      for (const query of queries) if (query.error) void query.refetch();
    };
    return { kind: 'failed', error: failed.error, retry };
  }
  return { kind: 'loading' };
}
