import { useMutation } from '@tanstack/react-query';
import type { JudgementBody } from '@wide-fern/contract';
import { call, eveningsQuery, pieceQuery, piecesQuery, queryClient } from '@wide-fern/client';

/** What other views hold of pieces is old now: the list, and what evenings ask. */
export async function piecesChanged(choir: string): Promise<void> {
  await Promise.all([
    queryClient.invalidateQueries({ queryKey: piecesQuery(choir).queryKey, exact: true }),
    queryClient.invalidateQueries({ queryKey: eveningsQuery(choir).queryKey }),
  ]);
}

/** The day it is in a time zone, now or at a moment: «2026-12-01». */
export const dayIn = (timeZone: string, at: number = Date.now()): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone }).format(at);

/** Judges a run, or takes a judgement back. */
export function useJudging(choir: string, piece: string) {
  const params = { choir, piece };
  const done = async () => {
    await queryClient.invalidateQueries({ queryKey: pieceQuery(choir, piece).queryKey });
    await piecesChanged(choir);
  };
  const add = useMutation({
    mutationFn: (body: JudgementBody) => call('addJudgement', { params, body }),
    onSuccess: done,
  });
  const remove = useMutation({
    mutationFn: (judgement: string) =>
      call('removeJudgement', { params: { ...params, judgement } }),
    onSuccess: done,
  });
  return { add, remove };
}
