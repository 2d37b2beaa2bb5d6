import type { MidiNote, Semitones } from '@wide-fern/core';
import { refuse, type Notes } from '../common/found';
import { child, childrenOf, numberOf, textOf, type Tree } from '../xml/tree';

const steps: Readonly<Record<string, Semitones>> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };

/** The note that sounds; null for one without a pitch. */
export function midiOf(note: Tree, transpose: Semitones): MidiNote | null {
  const pitch = child(note, 'pitch');
  if (!pitch) return null;
  const step = steps[textOf(pitch, 'step')];
  const octave = numberOf(pitch, 'octave');
  if (step === undefined || octave === undefined) {
    return refuse('A note in this file has no step or no octave. The file is damaged.');
  }
  return (octave + 1) * 12 + step + Math.round(numberOf(pitch, 'alter') ?? 0) + transpose;
}

/** The first verse's syllable, with a hyphen while its word goes on. */
export function syllableOf(note: Tree, where: string, notKept: Notes): string | undefined {
  const lyrics = childrenOf(note, 'lyric');
  const first = lyrics.find((one) => (one.attributes.number ?? '1') === '1') ?? lyrics[0];
  if (lyrics.length > 1) notKept.add(where, 'Only the first verse is kept.');
  const words = childrenOf(first, 'text')
    .map(({ text }) => text)
    .join(' ')
    .trim();
  if (words === '') return undefined;
  const goesOn = ['begin', 'middle'].includes(textOf(first, 'syllabic'));
  return `${words.slice(0, 39)}${goesOn ? '-' : ''}`;
}
