import type { Piece } from './faces';

/** A piece of a line where it stands, from the line's left end. */
export interface PlacedPiece extends Piece {
  readonly x: number;
}

/** What cannot be parted, with its width and that of the space before it. */
interface Word {
  readonly pieces: readonly (Piece & { readonly width: number })[];
  readonly width: number;
  readonly space: number;
}

/**
 * Breaks pieces of text into lines that fit a width, between words; a word wider than a line stands alone in it.
 * @param widthOf how wide a text is in a font, in the units of the width
 */
export function brokenIntoLines(
  pieces: readonly Piece[],
  width: number,
  widthOf: (text: string, font: string) => number,
): PlacedPiece[][] {
  const lines: PlacedPiece[][] = [];
  let line: PlacedPiece[] = [];
  let at = 0;
  for (const word of wordsOf(pieces, widthOf)) {
    if (line.length > 0 && at + word.space + word.width > width) {
      lines.push(line);
      line = [];
      at = 0;
    }
    if (line.length > 0) at += word.space;
    for (const { text, font, width: wide } of word.pieces) {
      line.push({ text, font, x: at });
      at += wide;
    }
  }
  if (line.length > 0) lines.push(line);
  return lines;
}

function wordsOf(
  pieces: readonly Piece[],
  widthOf: (text: string, font: string) => number,
): Word[] {
  const words: { pieces: Word['pieces'][number][]; space: number }[] = [];
  let isOpen = false;
  let space = 0;
  for (const { text, font } of pieces) {
    for (const part of text.split(/( +)/)) {
      if (part === '') continue;
      if (part.startsWith(' ')) {
        isOpen = false;
        space = widthOf(' ', font);
        continue;
      }
      if (!isOpen) words.push({ pieces: [], space });
      isOpen = true;
      words.at(-1)!.pieces.push({ text: part, font, width: widthOf(part, font) });
    }
  }
  return words.map((word) => ({
    ...word,
    width: word.pieces.reduce((sum, piece) => sum + piece.width, 0),
  }));
}
