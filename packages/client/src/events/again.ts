import type { Query } from '@tanstack/query-core';
import { queryClient } from '../queries';

/** Queries that a change makes stale: by their key, alone or with what lies below. */
export interface Stale {
  readonly queryKey: readonly string[];
  readonly exact?: boolean;
  /** Whether one of them holds all the same, by what it holds. */
  readonly holds?: (data: unknown) => boolean;
}

const isOnItsWay = ({ state }: Pick<Query, 'state'>): boolean => state.fetchStatus === 'fetching';

/**
 * Fetches anew what does not hold any more. What is being fetched may have been asked for too early: it is
 * called off and asked for once more, or, where it cannot be called off (a first answer, or one that nobody
 * looks at), seen through and weighed when it has come.
 */
export function fetchAgain(stale: Stale): void {
  const { holds, ...those } = stale;
  const seenThrough = queryClient
    .getQueryCache()
    .findAll({ ...those, fetchStatus: 'fetching' })
    .filter((query) => query.state.data === undefined || !query.isActive());
  for (const { queryKey, promise } of seenThrough) {
    const weigh = () => fetchAgain({ ...stale, queryKey: queryKey as string[], exact: true });
    // What failed is told by itself, and asked for again by whoever looks at it.
    void promise?.then(weigh, () => undefined);
  }
  void queryClient.invalidateQueries({
    ...those,
    predicate: (query) => isOnItsWay(query) || !holds?.(query.state.data),
  });
}
