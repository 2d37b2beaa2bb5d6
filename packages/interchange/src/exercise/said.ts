import {
  noteInKey,
  readNote,
  type AccidentalPreference,
  type MidiNote,
  type Mode,
} from '@wide-fern/core';

/** What a file says beside its notes, by names of our own that other programs leave alone. */
export const saidName = { tonic: 'tonic', mode: 'mode' } as const;

/** A tonic with its octave: «E♭4». */
export const fileNote = (tonic: MidiNote, mode: Mode, preference?: AccidentalPreference): string =>
  noteInKey(tonic, tonic, mode, preference);

/** Reads such a tonic back; undefined for what is none. */
export const readFileNote = (words: string): MidiNote | undefined => readNote(words, 'octaves');
