import { useQuery } from '@tanstack/react-query';
import type { Evening } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';
import { useMemo } from 'react';
import { exercisesQuery } from '@wide-fern/client';
import { builtInQuery } from '../../../here/builtIn';
import { useHere } from '../../../here/session';
import { useTonight } from '../../../here/useTonight';
import { listExercises, type Listed } from './listed';

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
  const { tonight, evening, error: tonightError, retry: retryTonight } = useTonight();
  const all = useMemo(
    () =>
      builtIn.data && own.data && tonight
        ? listExercises(builtIn.data, own.data, tonight.sections)
        : undefined,
    [builtIn.data, own.data, tonight],
  );
  const error = builtIn.error ?? own.error ?? tonightError;
  if (error && !all) {
    const retry = () => {
      for (const query of [builtIn, own]) if (query.error) void query.refetch();
      retryTonight();
    };
    return { kind: 'failed', error, retry };
  }
  if (!all || !tonight) return { kind: 'loading' };
  return { kind: 'ready', all, tonight, evening };
}
