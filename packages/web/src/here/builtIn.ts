import { queryOptions } from '@tanstack/react-query';

/** The built-in exercises, fetched with the first page that wants them. */
export const builtInQuery = queryOptions({
  queryKey: ['built-in exercises'],
  queryFn: async () => (await import('@wide-fern/catalogue')).exercises,
  staleTime: Infinity,
});
