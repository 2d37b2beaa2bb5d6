import { useMutation } from '@tanstack/react-query';
import { call, choirQuery, messageOf, queryClient } from '@wide-fern/client';
import type { KeepChecks } from '@wide-fern/contract';
import { useHere } from '../../../here/session';

/** Stores what checks have found; only then is what the device kept of them forgotten. */
export function useKeepChecks(onKept: () => void) {
  const { choir } = useHere();
  const keep = useMutation({
    mutationFn: (body: KeepChecks) => call('keepChecks', { params: { choir: choir.id }, body }),
    onSuccess: async () => {
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
      onKept();
    },
  });
  return {
    send: (checks: KeepChecks['checks']) => keep.mutate({ checks }),
    isBusy: keep.isPending,
    failed: keep.isError ? messageOf(keep.error) : undefined,
  };
}
