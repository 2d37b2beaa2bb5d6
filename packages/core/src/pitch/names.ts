import type { MidiNote, Semitones } from '../units';
import type { Mode } from './mode';
import {
  spellAlone,
  spellInKey,
  spellKey,
  type AccidentalPreference,
  type SpelledKey,
  type SpelledNote,
} from './spelling';

/** Accidentals as they are printed after a letter: «♭», «♯♯», or nothing. */
const accidentalSign = (accidental: Semitones): string =>
  (accidental < 0 ? '♭' : '♯').repeat(Math.abs(accidental));

/** «C♭5»: letter, accidental, octave. */
export const writeNote = (note: SpelledNote): string =>
  `${note.letter}${accidentalSign(note.accidental)}${note.octave}`;

/** «G♭»: the tonic's name alone, as keys are called while they are led. */
export const writeTonic = (key: Pick<SpelledKey, 'letter' | 'accidental'>): string =>
  `${key.letter}${accidentalSign(key.accidental)}`;

/** The name of a note on an axis: «E♭4». */
export const noteName = (note: MidiNote, preference?: AccidentalPreference): string =>
  writeNote(spellAlone(note, preference));

/** The name of the key on a tonic, without its octave: «E♭». */
export const tonicName = (
  tonic: MidiNote,
  mode?: Mode,
  preference?: AccidentalPreference,
): string => writeTonic(spellKey(tonic, mode, preference));

/** The name of a note in the key on a tonic, spelled by its degree: «G♯4» in E major. */
export const noteInKey = (
  note: MidiNote,
  tonic: MidiNote,
  mode?: Mode,
  preference?: AccidentalPreference,
): string => writeNote(spellInKey(note, tonic, spellKey(tonic, mode, preference)));
