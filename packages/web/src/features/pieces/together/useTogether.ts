import { useMutation, useQuery } from '@tanstack/react-query';
import type { Judging, JudgingCard, OpenJudging } from '@wide-fern/contract';
import { call, judgingsQuery, pieceQuery, queryClient } from '@wide-fern/client';
import { piecesChanged } from '../../../here/judging';

/** The runs of a piece that several judge, and what can be done with them. */
export function useTogether(choir: string, piece: string) {
  const params = { choir, piece };
  const { queryKey } = judgingsQuery(choir, piece);
  const judgings = useQuery(judgingsQuery(choir, piece));

  const keep = (one: Judging) =>
    queryClient.setQueryData<Judging[]>(queryKey, (was = []) =>
      was.some(({ id }) => id === one.id)
        ? was.map((known) => (known.id === one.id ? one : known))
        : [one, ...was],
    );
  const renew = () => queryClient.invalidateQueries({ queryKey });

  const open = useMutation({
    // Sent again after an answer that was lost, it is the same run.
    mutationFn: ({ id, ...body }: OpenJudging & { readonly id: string }) =>
      call('openJudging', { params: { ...params, judging: id }, body }),
    onSuccess: keep,
  });
  const handIn = useMutation({
    mutationFn: ({ judging, card }: { readonly judging: string; readonly card: JudgingCard }) =>
      call('handInCard', { params: { ...params, judging }, body: card }),
    onSuccess: keep,
    // No more cards were taken meanwhile: what was agreed on is there.
    onError: renew,
  });
  const settle = useMutation({
    mutationFn: (what: { readonly judging: string; readonly agreed: JudgingCard | null }) =>
      call('settleJudging', {
        params: { ...params, judging: what.judging },
        body: { agreed: what.agreed },
      }),
    onSuccess: async (one) => {
      keep(one);
      await queryClient.invalidateQueries({ queryKey: pieceQuery(choir, piece).queryKey });
      await piecesChanged(choir);
    },
    onError: renew,
  });
  const remove = useMutation({
    mutationFn: (judging: string) => call('removeJudging', { params: { ...params, judging } }),
    onSettled: renew,
  });
  return { judgings, open, handIn, settle, remove };
}
export type Together = ReturnType<typeof useTogether>;

/** A run's recording: kept for so many days, or thrown away. */
export function useRecording(choir: string, piece: string, judging: string) {
  const params = { choir, piece, judging };
  const renew = () =>
    queryClient.invalidateQueries({ queryKey: judgingsQuery(choir, piece).queryKey });
  const keep = useMutation({
    mutationFn: ({ file, days }: { readonly file: File; readonly days: string }) =>
      call('keepRecording', { params, query: { name: file.name, days }, body: file }),
    onSettled: renew,
  });
  const remove = useMutation({
    mutationFn: () => call('removeRecording', { params }),
    onSettled: renew,
  });
  return { keep, remove };
}
