import type { Mode } from '../../pitch';
import type { HeldChord } from '../accompaniment';
import { isNote } from '../music';
import { readLength, writeLength } from './lengths';
import { readLine } from './read';
import { writeDegree } from './write';

/** Chords as they are typed: «1 3 5 : 4 | 4 6 8 : 2», the steps of each, then its beats. */
export const writeChords = (chords: readonly HeldChord[], mode: Mode): string =>
  chords
    .map(({ tones, beats }) => {
      const steps = tones.map((tone) => writeDegree(tone, mode)).join(' ');
      return `${steps} : ${writeLength(beats)}`;
    })
    .join(' | ');

/** What typed chords say, or which one of them is not understood, counted from one. */
export type TypedChords =
  | { readonly kind: 'chords'; readonly chords: readonly HeldChord[] }
  | { readonly kind: 'problem'; readonly chord: number };

/** Reads chords as {@link writeChords} writes them. */
export function readChords(text: string, mode: Mode): TypedChords {
  const chords: HeldChord[] = [];
  for (const [i, chord] of text.split('|').entries()) {
    const [steps = '', typed = '', ...more] = chord.split(':').map((one) => one.trim());
    const read = readLine(steps, mode);
    const tones =
      read.kind === 'line' ? read.events.filter(isNote).map(({ offset }) => offset) : [];
    const length = readLength(typed);
    const isLength = length?.characters === typed.length && length.beats > 0;
    if (tones.length === 0 || more.length > 0 || !isLength || !Number.isFinite(length.beats)) {
      return { kind: 'problem', chord: i + 1 };
    }
    chords.push({ tones, beats: length.beats });
  }
  return { kind: 'chords', chords };
}
