import { callFile } from '@wide-fern/client';
import type { ScoreWorker } from './scoreWorker';

/** Opens a piece's score in a worker; a file that was read on this device before is neither fetched nor read again. */
export async function openPieceScore(
  worker: ScoreWorker,
  { choir, piece, file }: { readonly choir: string; readonly piece: string; readonly file: string },
  {
    signal,
    onProgress,
  }: { readonly signal: AbortSignal; readonly onProgress?: (share: number) => void },
): Promise<void> {
  if (await worker.openKept(file)) return;
  const bytes = await callFile('showScoreFile', { params: { choir, piece }, signal });
  await worker.open(bytes, onProgress, file);
}
