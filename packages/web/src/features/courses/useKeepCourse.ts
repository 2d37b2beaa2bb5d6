import { useMutation } from '@tanstack/react-query';
import { call } from '@wide-fern/client';
import type { KeptCourse } from '@wide-fern/contract';
import { useHere } from '../../here/session';
import { useChoirSaid } from '../../here/useChoirSaid';

/** Keeps what a choir has of one course, or throws it away; the others stay as they are. */
export function useKeepCourse() {
  const { choir } = useHere();
  const take = useChoirSaid();
  return useMutation({
    mutationFn: ({ id, kept }: { readonly id: string; readonly kept: KeptCourse | null }) =>
      call('changeChoir', { params: { choir: choir.id }, body: { courses: { [id]: kept } } }),
    onSuccess: take,
  });
}
