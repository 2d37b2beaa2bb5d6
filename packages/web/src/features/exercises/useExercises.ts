import { useQuery } from '@tanstack/react-query';
import type { Evening, Tonight } from '@wide-fern/contract';
import { useMemo } from 'react';
import {
  builtInQuery,
  eveningQuery,
  eveningsQuery,
  exercisesQuery,
  voicesQuery,
} from '../../api/queries';
import { useHere } from '../../app/session';
import { nextEvening } from '../tonight/dates';
import { listExercises, type Listed } from './model/listed';

/** Everything the place of exercises rests on. */
export type ExercisesData =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly error: unknown; readonly retry: () => void }
  | {
      readonly kind: 'ready';
      readonly all: readonly Listed[];
      /** The sections the keys are for: those of the evening that comes next, else all on record. */
      readonly tonight: Tonight;
      readonly evening: Evening | undefined;
    };
export type ReadyExercises = Extract<ExercisesData, { kind: 'ready' }>;

/** Gathers built-in and own exercises with the sections they are to be sung by. */
export function useExercises(): ExercisesData {
  const { choir } = useHere();
  const builtIn = useQuery(builtInQuery);
  const own = useQuery(exercisesQuery(choir.id));
  const evenings = useQuery(eveningsQuery(choir.id));
  const next = useMemo(
    () => (evenings.data ? nextEvening(evenings.data, evenings.dataUpdatedAt) : undefined),
    [evenings.data, evenings.dataUpdatedAt],
  );
  const evening = useQuery({
    ...eveningQuery(choir.id, next?.id ?? ''),
    enabled: next !== undefined,
  });
  const withoutEvening = evenings.data !== undefined && next === undefined;
  const voices = useQuery({ ...voicesQuery(choir.id), enabled: withoutEvening });
  const tonight = useMemo((): Tonight | undefined => {
    if (next) return evening.data?.tonight;
    return voices.data && { bands: voices.data.bands, needs: [] };
  }, [next, evening.data, voices.data]);
  const all = useMemo(
    () =>
      builtIn.data && own.data && tonight
        ? listExercises(builtIn.data, own.data, tonight.bands)
        : undefined,
    [builtIn.data, own.data, tonight],
  );
  const queries = [builtIn, own, evenings, evening, voices];
  const error = queries.find((query) => query.error)?.error;
  if (error && !all) {
    const retry = () => {
      for (const query of queries) if (query.error) void query.refetch();
    };
    return { kind: 'failed', error, retry };
  }
  if (!all || !tonight) return { kind: 'loading' };
  return { kind: 'ready', all, tonight, evening: next ? evening.data : undefined };
}
