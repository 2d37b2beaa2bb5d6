import type { MidiNote, Semitones } from '../units';
import { modes, type Mode } from './mode';

/** Which spelling a choir prefers where a flat and a sharp one are equally simple. */
export type AccidentalPreference = 'flats' | 'sharps';

/**
 * How a choir writes its notes: by which names («octaves»: B♭3; «marks»: b♭, the octave by case and
 * marks; «german»: b, h, cis′; «solfege»: Si♭3 with Do4 as middle C; «solfege3»: the same with Do3
 * as middle C), and with flats or sharps where both are as simple.
 */
export interface NoteNames {
  readonly naming: NoteNaming;
  readonly accidentals: AccidentalPreference;
}
export const noteNamings = ['octaves', 'marks', 'german', 'solfege', 'solfege3'] as const;
export type NoteNaming = (typeof noteNamings)[number];
/** The full way, or only the spelling: then names are those of «octaves». */
export type NoteWriting = AccidentalPreference | NoteNames;

export const accidentalsOf = (writing: NoteWriting): AccidentalPreference =>
  typeof writing === 'string' ? writing : writing.accidentals;
export const namingOf = (writing: NoteWriting = 'flats'): NoteNaming =>
  typeof writing === 'string' ? 'octaves' : writing.naming;

const letters = ['C', 'D', 'E', 'F', 'G', 'A', 'B'] as const;
export type Letter = (typeof letters)[number];

/** A note as it is written: the letter, its accidentals (−2 to 2 and beyond; sharps positive) and the letter's octave. */
export interface SpelledNote {
  readonly letter: Letter;
  readonly accidental: Semitones;
  readonly octave: number;
}

/** A key as it is written: its tonic's letter and accidental, its mode, and the accidentals of its signature (sharps positive). */
export interface SpelledKey {
  readonly letter: Letter;
  readonly accidental: Semitones;
  readonly mode: Mode;
  readonly signature: number;
}

const letterPitch: readonly Semitones[] = [0, 2, 4, 5, 7, 9, 11];
/** Fifths above C of the natural letters. */
const letterFifths: readonly number[] = [0, 2, 4, -1, 1, 3, 5];
/** The scale degree (0 = tonic) whose letter a note at each offset takes, whatever the mode. */
export const degreeOfOffset: readonly number[] = [0, 1, 1, 2, 2, 3, 3, 4, 5, 5, 6, 6];
const axisFlats: readonly (readonly [number, Semitones])[] = [
  [0, 0],
  [1, -1],
  [1, 0],
  [2, -1],
  [2, 0],
  [3, 0],
  [4, -1],
  [4, 0],
  [5, -1],
  [5, 0],
  [6, -1],
  [6, 0],
];

const modulo = (value: number, by: number): number => ((value % by) + by) % by;
const at = <T>(list: readonly T[], index: number): T => {
  const found = list[index];
  if (found === undefined) throw new RangeError(`No entry ${index} in a list of ${list.length}.`);
  return found;
};

/**
 * How the key on a tonic is written: the signature with the fewest accidentals; where two have as
 * few, the preferred one (docs/model.md, section 1).
 * @example spellKey(66, 'major') // G♭ major, six flats
 */
export function spellKey(
  tonic: MidiNote,
  mode: Mode = 'major',
  writing: NoteWriting = 'flats',
): SpelledKey {
  const preference = accidentalsOf(writing);
  const pitchClass = modulo(tonic, 12);
  let best: SpelledKey | undefined;
  letters.forEach((letter, index) => {
    for (const accidental of [-1, 0, 1]) {
      if (modulo(at(letterPitch, index) + accidental, 12) !== pitchClass) continue;
      const signature = at(letterFifths, index) + 7 * accidental + modes[mode].fifths;
      const fewer = best ? Math.abs(best.signature) - Math.abs(signature) : 1;
      const preferred = preference === 'flats' ? signature < 0 : signature > 0;
      if (fewer > 0 || (fewer === 0 && preferred)) best = { letter, accidental, mode, signature };
    }
  });
  if (!best) throw new RangeError(`A tonic is a whole number, not ${tonic}.`);
  return best;
}

/** Writes a sounding note with a given letter; the octave number is the letter's. */
function withLetter(note: MidiNote, letterIndex: number): SpelledNote {
  const natural = at(letterPitch, letterIndex);
  const accidental = modulo(note - natural + 6, 12) - 6;
  return {
    letter: at(letters, letterIndex),
    accidental,
    octave: (note - accidental - natural) / 12 - 1,
  };
}

/**
 * A note of a key, spelled by scale degree: the raised fourth of G is C♯, the minor third of A♭ is
 * C♭ (docs/model.md, section 1).
 */
export function spellInKey(note: MidiNote, tonic: MidiNote, key: SpelledKey): SpelledNote {
  const degree = at(degreeOfOffset, modulo(note - tonic, 12));
  return withLetter(note, modulo(letters.indexOf(key.letter) + degree, 7));
}

/** A note outside any key, as on an axis: flats unless sharps are preferred. */
export function spellAlone(note: MidiNote, writing: NoteWriting = 'flats'): SpelledNote {
  const [flatLetter, flat] = at(axisFlats, modulo(note, 12));
  const letter =
    flat !== 0 && accidentalsOf(writing) === 'sharps' ? modulo(flatLetter - 1, 7) : flatLetter;
  return withLetter(note, letter);
}
