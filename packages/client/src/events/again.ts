import { queryClient } from '../queries';

/** Queries that a change makes stale: by their key, alone or with what lies below. */
export interface Stale {
  readonly queryKey: readonly string[];
  readonly exact?: boolean;
  /** Whether one of them holds all the same, by what it holds. */
  readonly holds?: (data: unknown) => boolean;
}

/** Fetches anew what does not hold any more; what is being fetched may have been asked for too early. */
export const fetchAgain = ({ holds, ...those }: Stale): void =>
  void queryClient.invalidateQueries({
    ...those,
    predicate: ({ state }) => state.fetchStatus === 'fetching' || !holds?.(state.data),
  });
