import { noteInKey, tonicName, type KeyColumn, type Move, type Section } from '@wide-fern/core';
import { countInWords, semitonesInWords } from '../counting';
import { unsureInWords } from '../sure';
import type { Wording } from './wording';

const roomInWords = (room: number, end: 'above' | 'below'): string => {
  if (room < 0) return `${semitonesInWords(-room)} ${end} the comfort`;
  return room === 0 ? `no room ${end}` : `room of ${countInWords(room)} ${end}`;
};

/**
 * A cell in words: «Altos on D♭: D♭4 to E♭5, a semitone above the comfort.»
 * @param tooFew the chance that too few are comfortable, said where it is worth saying
 */
export function cellInWords(
  band: Section,
  { tonic, fits }: KeyColumn,
  move: Move | undefined,
  wording: Wording,
  tooFew = 0,
): string {
  const words = cellWords(band, { tonic, fits }, move, wording);
  const unsure = unsureInWords(tooFew);
  return unsure ? `${words.slice(0, -1)}; ${unsure}.` : words;
}

function cellWords(
  band: Section,
  { tonic, fits }: KeyColumn,
  move: Move | undefined,
  wording: Wording,
): string {
  const fit = fits[band.id]!;
  const key = tonicName(tonic, wording.mode, wording.writing);
  const who = band.many.charAt(0).toUpperCase() + band.many.slice(1);
  if (move === 'rest') return `${who} rest on ${key}.`;
  if (move !== undefined && move !== band.octave) {
    return `${who} on ${key}: an octave ${move < band.octave ? 'down' : 'up'}.`;
  }
  const name = (note: number) => noteInKey(note, tonic, wording.mode, wording.writing);
  const span = `${name(fit.low)} to ${name(fit.high)}`;
  if (fit.state === 'out') return `${who} on ${key}: ${span}, out of reach.`;
  return `${who} on ${key}: ${span}, ${roomInWords(fit.roomAbove, 'above')}, ${roomInWords(fit.roomBelow, 'below')}.`;
}
