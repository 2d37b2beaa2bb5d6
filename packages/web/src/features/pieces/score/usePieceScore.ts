import type { Piece } from '@wide-fern/contract';
import { useEffect, useState } from 'react';
import { ApiError } from '@wide-fern/client';
import { openPieceScore } from '../../../here/score/openPieceScore';
import { ScoreRefused, ScoreWorker } from '../../../here/score/scoreWorker';

/** A piece's score on its way to be looked at. */
export type PieceScoreState =
  | { readonly kind: 'none' }
  | { readonly kind: 'reading'; readonly share: number }
  | { readonly kind: 'failed'; readonly message: string; readonly retry: () => void }
  | { readonly kind: 'ready'; readonly worker: ScoreWorker };

type Found = { readonly file: string; readonly turn: number } & (
  | { readonly kind: 'reading'; readonly share: number }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly worker: ScoreWorker }
);

/** Holds a piece's score in a worker as long as the page is open. */
export function usePieceScore(choir: string, piece: Piece): PieceScoreState {
  const file = piece.piece.score?.file;
  const { id } = piece;
  const [turn, setTurn] = useState(0);
  const [found, setFound] = useState<Found>();
  useEffect(() => {
    if (file === undefined) return undefined;
    const worker = new ScoreWorker();
    const stop = new AbortController();
    const where = { file, turn };
    const read = async () => {
      try {
        const onProgress = (share: number) => setFound({ ...where, kind: 'reading', share });
        await openPieceScore(
          worker,
          { choir, piece: id, file },
          { signal: stop.signal, onProgress },
        );
        setFound({ ...where, kind: 'ready', worker });
      } catch (error) {
        if (stop.signal.aborted) return;
        const isSaid = error instanceof ScoreRefused || error instanceof ApiError;
        const message = isSaid ? error.message : 'The score could not be read.';
        setFound({ ...where, kind: 'failed', message });
      }
    };
    void read();
    return () => {
      stop.abort();
      worker.end();
    };
  }, [choir, id, file, turn]);
  if (file === undefined) return { kind: 'none' };
  if (found?.file !== file || found.turn !== turn) return { kind: 'reading', share: 0 };
  if (found.kind === 'failed') {
    return { kind: 'failed', message: found.message, retry: () => setTurn(turn + 1) };
  }
  return found;
}
