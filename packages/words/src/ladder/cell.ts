import { noteInKey, tonicName, type KeyColumn, type Move, type Section } from '@wide-fern/core';
import { countInWords, semitonesInWords } from '../counting';
import { unsureInWords } from '../sure';
import type { Wording } from './wording';

const roomInWords = (room: number, end: 'above' | 'below'): string => {
  if (room < 0) return `${semitonesInWords(-room)} ${end} the comfort`;
  return room === 0 ? `no room ${end}` : `room of ${countInWords(room)} ${end}`;
};

/** What a part does in a key, and what is known of it. */
export interface CellDoing {
  /** Undefined where the key is none of the ladder's. */
  readonly move: Move | undefined;
  /** Whether it holds the key's note there. */
  readonly holds?: boolean;
  /** The chance that too few are comfortable, said where it is worth saying. */
  readonly tooFew?: number | undefined;
  /** What would be best there, where the part was told by hand what to do. */
  readonly untold?: Move | undefined;
}

/** A cell in words: «Altos on D♭: D♭4 to E♭5, a semitone above the comfort.» */
export function cellInWords(
  band: Section,
  column: KeyColumn,
  doing: CellDoing,
  wording: Wording,
): string {
  const words = cellWords(band, column, doing, wording);
  const unsure = unsureInWords(doing.tooFew ?? 0);
  const told = toldInWords(band, doing);
  const said = [...(told ? [told] : []), ...(unsure ? [unsure] : [])];
  return said.length > 0 ? `${words.slice(0, -1)}; ${said.join('; ')}.` : words;
}

/** What a part was told in a key, beside what would be best there; undefined where it was told nothing. */
function toldInWords(
  { octave, many }: Section,
  { move, holds, untold }: CellDoing,
): string | undefined {
  if (untold === undefined) return undefined;
  if (move === untold && !holds) return 'by hand, and best as well';
  if (untold === 'rest') return `by hand; the best would let the ${many} rest`;
  if (untold === octave) return `by hand; the best would have the ${many} sing as usual`;
  const way = untold < octave ? 'down' : 'up';
  return `by hand; the best would have the ${many} an octave ${way}`;
}

function cellWords(
  band: Section,
  { tonic, fits }: KeyColumn,
  { move, holds = false }: CellDoing,
  wording: Wording,
): string {
  const fit = fits[band.id]!;
  const key = tonicName(tonic, wording.mode, wording.writing);
  const who = band.many.charAt(0).toUpperCase() + band.many.slice(1);
  const name = (note: number) => noteInKey(note, tonic, wording.mode, wording.writing);
  if (move === 'rest') return `${who} rest on ${key}.`;
  if (holds && move !== undefined) return `${who} hold ${name(tonic + move)} on ${key}.`;
  if (move !== undefined && move !== band.octave) {
    return `${who} on ${key}: an octave ${move < band.octave ? 'down' : 'up'}.`;
  }
  const span = `${name(fit.low)} to ${name(fit.high)}`;
  if (fit.state === 'out') return `${who} on ${key}: ${span}, out of reach.`;
  return `${who} on ${key}: ${span}, ${roomInWords(fit.roomAbove, 'above')}, ${roomInWords(fit.roomBelow, 'below')}.`;
}
