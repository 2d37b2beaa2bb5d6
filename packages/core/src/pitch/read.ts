import type { MidiNote } from '../units';

/**
 * How a text names its notes. «octaves»: C4 is middle C, whatever the case. «marks»: C is below c,
 * c' is middle C. «german»: as «marks», with H for B and B for B♭, «fis», «es»; a number after a
 * small letter counts the marks (c1), after a capital the octave (C4).
 */
export const noteNamings = ['octaves', 'marks', 'german'] as const;
export type NoteNaming = (typeof noteNamings)[number];

const naturals: Readonly<Record<string, number>> = { c: 0, d: 2, e: 4, f: 5, g: 7, a: 9, b: 11 };
const signs: Readonly<Record<string, number>> = { '#': 1, '♯': 1, b: -1, '♭': -1, '♮': 0 };

const written = /^([A-Ha-h])(is|es|s|[#♯b♭♮]{0,2})(?:(-?\d)|([,‚]{1,4})|(['’′`]{1,4}))?$/u;

/** The letter's pitch in its octave, and how far its accidental moves it. */
function pitchOf(letter: string, accidental: string, naming: NoteNaming): number | undefined {
  const small = letter.toLowerCase();
  if (naming === 'german') {
    if (small === 'h') return accidental === '' ? 11 : accidental === 'is' ? 12 : undefined;
    if (small === 'b') return accidental === '' ? 10 : undefined;
    if (accidental === 'is') return naturals[small]! + 1;
    if (accidental === 'es') return naturals[small]! - 1;
    // «es» and «as»: the vowel of the letter and of the ending are one.
    if (accidental === 's') return 'ae'.includes(small) ? naturals[small]! - 1 : undefined;
  }
  const natural = naturals[small];
  if (natural === undefined || /[is]/.test(accidental)) return undefined;
  return [...accidental].reduce((sum, sign) => sum + signs[sign]!, natural);
}

/**
 * Reads a note as people write it: «C4», «f♯3», «c'», «H», «B♭2», or a MIDI number.
 * @returns undefined for what is no note.
 * @example readNote('c’', 'marks') // 60
 */
export function readNote(text: string, naming: NoteNaming = 'octaves'): MidiNote | undefined {
  const trimmed = text.trim();
  if (/^\d{1,3}$/.test(trimmed)) return inRange(Number(trimmed));
  const found = written.exec(trimmed);
  if (!found) return undefined;
  const [, letter = '', accidental = '', number, low, high] = found;
  const pitch = pitchOf(letter, accidental, naming);
  if (pitch === undefined) return undefined;
  const isCapital = letter === letter.toUpperCase();
  const octave = octaveOf({ isCapital, number, low, high }, naming);
  return octave === undefined ? undefined : inRange((octave + 1) * 12 + pitch);
}

function octaveOf(
  marks: {
    readonly isCapital: boolean;
    readonly number: string | undefined;
    readonly low: string | undefined;
    readonly high: string | undefined;
  },
  naming: NoteNaming,
): number | undefined {
  const { isCapital, number, low, high } = marks;
  if (number !== undefined) {
    return naming === 'german' && !isCapital ? 3 + Number(number) : Number(number);
  }
  // In «octaves» a letter without its octave says too little; marks say enough.
  if (naming === 'octaves' && !low && !high) return undefined;
  if (high) return isCapital ? undefined : 3 + high.length;
  if (low) return isCapital ? 2 - low.length : undefined;
  return isCapital ? 2 : 3;
}

const inRange = (note: number): MidiNote | undefined =>
  note >= 0 && note <= 127 ? note : undefined;
