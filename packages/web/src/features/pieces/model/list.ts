import type { PieceSummary } from '@wide-fern/contract';
import { plainWords } from '@wide-fern/core';

/** The pieces whose title, composer or language has every word that is looked for. */
export function piecesWanted(
  pieces: readonly PieceSummary[],
  search: string,
): readonly PieceSummary[] {
  const words = plainWords(search)
    .split(' ')
    .filter((word) => word !== '');
  if (words.length === 0) return pieces;
  return pieces.filter(({ title, composer, language }) => {
    const text = plainWords(`${title} ${composer} ${language}`);
    return words.every((word) => text.includes(word));
  });
}
