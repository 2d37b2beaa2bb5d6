import type { Session } from '@wide-fern/contract';
import { queryClient, sessionQuery } from '@wide-fern/client';

/** Takes over a session the server just answered with; whatever another person saw is forgotten. */
export function enter(session: Session): void {
  queryClient.clear();
  queryClient.setQueryData(sessionQuery.queryKey, session);
}

/** The page someone wanted before signing in; only addresses of our own are followed. */
export function wantedPage(search: URLSearchParams): string {
  const to = search.get('to') ?? '/';
  return to.startsWith('/') && !to.startsWith('//') ? to : '/';
}
