import type { Choir } from '@wide-fern/contract';
import { useRevalidator } from 'react-router';
import { choirQuery, queryClient, sessionQuery } from '@wide-fern/client';

/** Takes over what the server says of the choir, and has the page show it. */
export function useChoirSaid(): (saved: Choir) => Promise<void> {
  const revalidator = useRevalidator();
  return async (saved) => {
    queryClient.setQueryData(choirQuery(saved.id).queryKey, saved);
    // Its name stands in the session too.
    await queryClient.invalidateQueries({ queryKey: sessionQuery.queryKey });
    await revalidator.revalidate();
  };
}
