import { useMutation } from '@tanstack/react-query';
import type {
  Judgement,
  JudgementBody,
  KeptFile,
  Piece,
  PieceMark,
  PieceMarkBody,
  StorePiece,
} from '@wide-fern/contract';
import {
  ask,
  sendFile,
  piecePath,
  pieceQuery,
  piecesPath,
  piecesQuery,
  queryClient,
} from '@wide-fern/client';

/** What other views hold of pieces is old now: the list, and what evenings ask. */
export async function piecesChanged(choir: string): Promise<void> {
  await Promise.all([
    queryClient.invalidateQueries({ queryKey: piecesQuery(choir).queryKey, exact: true }),
    queryClient.invalidateQueries({ queryKey: ['choir', choir, 'evenings'] }),
  ]);
}

const keep = (choir: string, piece: Piece): void => {
  queryClient.setQueryData(pieceQuery(choir, piece.id).queryKey, piece);
};
const change = (choir: string, id: string, how: (was: Piece) => Piece): void => {
  queryClient.setQueryData<Piece>(pieceQuery(choir, id).queryKey, (was) => was && how(was));
};

/** Stores a piece: a new one, or over the version that was looked at. */
export async function storePiece(
  choir: string,
  body: StorePiece,
  over?: { readonly id: string; readonly version: number },
): Promise<Piece> {
  const stored = over
    ? await ask<Piece>(piecePath(choir, over.id), {
        method: 'PUT',
        body: { version: over.version, piece: body },
      })
    : await ask<Piece>(piecesPath(choir), { method: 'POST', body });
  keep(choir, stored);
  await piecesChanged(choir);
  return stored;
}

/** Hands a score's file in, to be kept with its piece. */
export const keepFile = (choir: string, file: File): Promise<KeptFile> =>
  sendFile<KeptFile>(`/choirs/${choir}/score-files?name=${encodeURIComponent(file.name)}`, file);

export async function removePiece(choir: string, id: string): Promise<void> {
  await ask(piecePath(choir, id), { method: 'DELETE' });
  queryClient.removeQueries({ queryKey: pieceQuery(choir, id).queryKey });
  await piecesChanged(choir);
}

/** What a piece is stored as when something of it changes. */
export function bodyOf({ piece }: Piece): StorePiece {
  const { score, ...rest } = piece;
  if (!score) return { ...rest, score: null };
  const { file, mapping, byBar, seconds } = score;
  return { ...rest, score: { file, mapping, byBar, seconds } };
}

/** Marks trouble bars, or changes and takes away a mark. */
export function useMarks(choir: string, piece: string) {
  const path = `${piecePath(choir, piece)}/marks`;
  const add = useMutation({
    mutationFn: (body: PieceMarkBody) => ask<PieceMark>(path, { method: 'POST', body }),
    onSuccess: (mark) =>
      change(choir, piece, (was) => ({
        ...was,
        marks: [...was.marks, mark].sort((a, b) => a.fromBar - b.fromBar),
      })),
  });
  const remove = useMutation({
    mutationFn: (mark: string) => ask<undefined>(`${path}/${mark}`, { method: 'DELETE' }),
    onSuccess: (_answer, mark) =>
      change(choir, piece, (was) => ({
        ...was,
        marks: was.marks.filter(({ id }) => id !== mark),
      })),
  });
  return { add, remove };
}

/** Judges a run, or takes a judgement back. */
export function useJudging(choir: string, piece: string) {
  const path = `${piecePath(choir, piece)}/judgements`;
  const done = async () => {
    await queryClient.invalidateQueries({ queryKey: pieceQuery(choir, piece).queryKey });
    await piecesChanged(choir);
  };
  const add = useMutation({
    mutationFn: (body: JudgementBody) => ask<Judgement>(path, { method: 'POST', body }),
    onSuccess: done,
  });
  const remove = useMutation({
    mutationFn: (judgement: string) => ask<undefined>(`${path}/${judgement}`, { method: 'DELETE' }),
    onSuccess: done,
  });
  return { add, remove };
}
