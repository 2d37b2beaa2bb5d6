import { useQuery } from '@tanstack/react-query';
import type { Evening } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';
import { useMemo } from 'react';
import { eveningsQuery, eveningQuery, voicesQuery } from '@wide-fern/client';
import { useHere } from './session';
import { nextEvening } from './dates';

/** The sections as they sing next: those of the evening that comes, else all on record. */
export interface TonightState {
  readonly tonight: Tonight | undefined;
  readonly evening: Evening | undefined;
  readonly error: unknown;
  readonly retry: () => void;
}

/** Gathers who sings on the evening that comes next. */
export function useTonight(): TonightState {
  const { choir } = useHere();
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
    return voices.data && { sections: voices.data.sections, needs: [] };
  }, [next, evening.data, voices.data]);
  const queries = [evenings, evening, voices];
  return {
    tonight,
    evening: next ? evening.data : undefined,
    error: queries.find((query) => query.error)?.error,
    retry: () => {
      for (const query of queries) if (query.error) void query.refetch();
    },
  };
}
