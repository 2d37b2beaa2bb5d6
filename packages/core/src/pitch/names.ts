import type { MidiNote, Semitones } from '../units';
import type { Mode } from './mode';
import {
  namingOf,
  spellAlone,
  spellInKey,
  spellKey,
  type Letter,
  type NoteNaming,
  type NoteWriting,
  type SpelledKey,
  type SpelledNote,
} from './spelling';

/** Accidentals as they are printed after a letter: «♭», «♯♯», or nothing. */
const accidentalSign = (accidental: Semitones): string =>
  (accidental < 0 ? '♭' : '♯').repeat(Math.abs(accidental));

const syllables: Readonly<Record<Letter, string>> = {
  ...{ C: 'Do', D: 'Ré', E: 'Mi', F: 'Fa', G: 'Sol', A: 'La', B: 'Si' },
};

/** «Fis», «Es», «As», «B», «H»: a letter and its accidentals as one word. */
function germanName({ letter, accidental }: Pick<SpelledNote, 'letter' | 'accidental'>): string {
  if (letter === 'B' && accidental === -1) return 'B';
  const natural = letter === 'B' ? 'H' : letter;
  if (accidental >= 0) return natural + 'is'.repeat(accidental);
  const flats = 'es'.repeat(-accidental);
  // «Es» and «As»: the vowel of the letter and of the first ending are one.
  return 'AE'.includes(natural) ? natural + flats.slice(1) : natural + flats;
}

/** A letter and its accidentals without an octave, in capitals. */
function nameAlone(note: Pick<SpelledNote, 'letter' | 'accidental'>, naming: NoteNaming): string {
  if (naming === 'german') return germanName(note);
  const isSyllable = naming === 'solfege' || naming === 'solfege3';
  return (isSyllable ? syllables[note.letter] : note.letter) + accidentalSign(note.accidental);
}

/** «C♭5»: letter, accidental, octave; or as another naming writes it: «c♭″», «ces″», «Do♭5», «Do♭4». */
export function writeNote(note: SpelledNote, naming: NoteNaming = 'octaves'): string {
  const { octave } = note;
  const name = nameAlone(note, naming);
  if (naming === 'octaves' || naming === 'solfege') return `${name}${octave}`;
  if (naming === 'solfege3') return `${name}${octave - 1}`;
  return octave < 3
    ? name + ','.repeat(2 - octave)
    : name.charAt(0).toLowerCase() + name.slice(1) + '′'.repeat(octave - 3);
}

/** «G♭»: the tonic's name alone, as keys are called while they are led. */
export const writeTonic = (
  key: Pick<SpelledKey, 'letter' | 'accidental'>,
  naming: NoteNaming = 'octaves',
): string => nameAlone(key, naming);

/** The name of a note on an axis: «E♭4». */
export const noteName = (note: MidiNote, writing?: NoteWriting): string =>
  writeNote(spellAlone(note, writing), namingOf(writing));

/** The name of the key on a tonic, without its octave: «E♭». */
export const tonicName = (tonic: MidiNote, mode?: Mode, writing?: NoteWriting): string =>
  writeTonic(spellKey(tonic, mode, writing), namingOf(writing));

/** The name of a note in the key on a tonic, spelled by its degree: «G♯4» in E major. */
export const noteInKey = (
  note: MidiNote,
  tonic: MidiNote,
  mode?: Mode,
  writing?: NoteWriting,
): string => writeNote(spellInKey(note, tonic, spellKey(tonic, mode, writing)), namingOf(writing));
