import { useMutation } from '@tanstack/react-query';
import type { KeptFile, Piece, PieceMarkBody, StorePiece } from '@wide-fern/contract';
import { call, pieceQuery, queryClient } from '@wide-fern/client';
import { piecesChanged } from '../../../here/judging';

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
    ? await call('changePiece', {
        params: { choir, piece: over.id },
        body: { version: over.version, piece: body },
      })
    : await call('addPiece', { params: { choir }, body });
  keep(choir, stored);
  await piecesChanged(choir);
  return stored;
}

/** Hands a score's file in, to be kept with its piece. */
export const keepFile = (choir: string, file: File): Promise<KeptFile> =>
  call('keepScoreFile', { params: { choir }, query: { name: file.name }, body: file });

export async function removePiece(choir: string, id: string): Promise<void> {
  await call('removePiece', { params: { choir, piece: id } });
  queryClient.removeQueries({ queryKey: pieceQuery(choir, id).queryKey });
  await piecesChanged(choir);
}

/** What a piece is stored as when something of it changes. */
export function bodyOf({ piece }: Piece): StorePiece {
  const { score, ...rest } = piece;
  return { ...rest, score: score && { file: score.file, mapping: score.mapping } };
}

/** Marks trouble bars, or changes and takes away a mark. */
export function useMarks(choir: string, piece: string) {
  const params = { choir, piece };
  const add = useMutation({
    mutationFn: (body: PieceMarkBody) => call('addMark', { params, body }),
    onSuccess: (mark) =>
      change(choir, piece, (was) => ({
        ...was,
        marks: [...was.marks, mark].sort((a, b) => a.fromBar - b.fromBar),
      })),
  });
  const remove = useMutation({
    mutationFn: (mark: string) => call('removeMark', { params: { ...params, mark } }),
    onSuccess: (_answer, mark) =>
      change(choir, piece, (was) => ({
        ...was,
        marks: was.marks.filter(({ id }) => id !== mark),
      })),
  });
  return { add, remove };
}
