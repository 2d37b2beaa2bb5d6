import type { MidiNote } from '../units';
import { noteNamings, type NoteNaming } from './spelling';

const naturals: Readonly<Record<string, number>> = { c: 0, d: 2, e: 4, f: 5, g: 7, a: 9, b: 11 };
const signs: Readonly<Record<string, number>> = { '#': 1, '♯': 1, b: -1, '♭': -1, '♮': 0 };
const syllables: Readonly<Record<string, number>> = {
  ...{ do: 0, ut: 0, re: 2, mi: 4, fa: 5, sol: 7, so: 7, la: 9, si: 11, ti: 11 },
};

const written =
  /^([A-Ha-h])((?:is){1,2}|(?:es|as){1,2}|s(?:es|as)?|[#♯b♭♮]{0,2})(?:(-?\d)|([,‚͵]{1,5})|(['’′`]{1,6}|[″"][′']?|‴))?$/u;
const sung =
  /^(do|ut|re|mi|fa|sol|so|la|si|ti) ?([#♯b♭♮]{0,2}|sharp|flat|diese|bemol|diesis|bemolle|sostenido) ?(-?\d)$/;
const signWords: Readonly<Record<string, string>> = {
  ...{ sharp: '♯', diese: '♯', diesis: '♯', sostenido: '♯', flat: '♭', bemol: '♭', bemolle: '♭' },
};

const shift = (accidental: string): number =>
  [...accidental].reduce((sum, sign) => sum + signs[sign]!, 0);

/** How far «is» and «es» move a letter; undefined where nobody says so. */
function germanShift(small: string, accidental: string): number | undefined {
  if (accidental === '') return 0;
  if (/^(is)+$/.test(accidental)) return accidental.length / 2;
  // «es» and «as», «eses» and «asas»: the vowel of the letter and of the ending are one.
  if ('ae'.includes(small))
    return /^s(es|as)?$/.test(accidental) ? -Math.ceil(accidental.length / 2) : undefined;
  return /^(es)+$/.test(accidental) ? -accidental.length / 2 : undefined;
}

/** The letter's pitch in its octave, and how far its accidental moves it. */
function pitchOf(letter: string, accidental: string, naming: NoteNaming): number | undefined {
  const small = letter.toLowerCase();
  if (naming === 'german') {
    if (small === 'b') return accidental === '' ? 10 : undefined;
    const moved = germanShift(small, accidental);
    if (moved !== undefined) {
      // H flat is B; only what is flat twice is called after H.
      if (small === 'h') return moved === -1 ? undefined : 11 + moved;
      return naturals[small]! + moved;
    }
    if (small === 'h') return undefined;
  }
  const natural = naturals[small];
  return natural === undefined || /[aeis]/.test(accidental)
    ? undefined
    : natural + shift(accidental);
}

/** «Sol♯3», «ré 4», «Si bémol 2». */
function readSyllable(text: string, naming: NoteNaming): MidiNote | undefined {
  const plain = text.toLowerCase().replace(/[éè]/g, 'e');
  const [, syllable = '', sign = '', octave] = sung.exec(plain) ?? [];
  if (octave === undefined) return undefined;
  const shifted = syllables[syllable]! + shift(signWords[sign] ?? sign);
  return inRange((Number(octave) + (naming === 'solfege3' ? 2 : 1)) * 12 + shifted);
}

/**
 * Reads a note as people write it: «C4», «f♯3», «c'», «H», «B♭2», «Sol3», or a MIDI number. In
 * «octaves» the case of a letter says nothing; in «german» a number after a small letter counts the
 * marks (c1), after a capital the octave (C4).
 * @returns undefined for what is no note.
 * @example readNote('c’', 'marks') // 60
 */
export function readNote(text: string, naming: NoteNaming = 'octaves'): MidiNote | undefined {
  const trimmed = text.trim();
  if (/^\d{1,3}$/.test(trimmed)) return inRange(Number(trimmed));
  if (naming === 'solfege' || naming === 'solfege3') return readSyllable(trimmed, naming);
  const found = written.exec(trimmed);
  if (!found) return undefined;
  const [, letter = '', accidental = '', number, low, high] = found;
  const pitch = pitchOf(letter, accidental, naming);
  if (pitch === undefined) return undefined;
  const isCapital = letter === letter.toUpperCase();
  const octave = octaveOf({ isCapital, number, low, high }, naming);
  return octave === undefined ? undefined : inRange((octave + 1) * 12 + pitch);
}

/**
 * Reads a note by the choir's names, else by any others, where they agree what it is.
 * @returns the note; several where it can be one or another; none where it is no note
 * @example readNoteKindly('fis', 'octaves') // [54]
 * @example readNoteKindly('b', 'octaves') // [59, 58]: B3 or B♭3
 */
export function readNoteKindly(text: string, naming: NoteNaming): readonly MidiNote[] {
  const own = readNote(text, naming);
  if (own !== undefined) return [own];
  const others = noteNamings.flatMap((other) => readNote(text, other) ?? []);
  return [...new Set(others)];
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
  if (high) return isCapital ? undefined : 3 + countMarks(high);
  if (low) return isCapital ? 2 - low.length : undefined;
  return isCapital ? 2 : 3;
}

const countMarks = (marks: string): number =>
  [...marks].reduce((sum, mark) => sum + (mark === '‴' ? 3 : '″"'.includes(mark) ? 2 : 1), 0);

const inRange = (note: number): MidiNote | undefined =>
  note >= 0 && note <= 127 ? note : undefined;

/** A note as it stands in a list, and between which notes it can be expected. */
export interface ListedNote {
  readonly text: string;
  /** The reach of whoever it is of; undefined when that is not known. */
  readonly within: readonly [MidiNote, MidiNote] | undefined;
}

/** How a list names its notes: by one way, or by one of several that read it differently and as well. */
export interface FoundNaming {
  readonly naming: NoteNaming;
  readonly either: readonly NoteNaming[];
}

/**
 * Which way of naming reads a list best: most of its notes, and then most of them near where the
 * singers can be expected (an octave wrong is far out). The choir's own way wins where it is among
 * the best.
 */
export function namingOfList(notes: readonly ListedNote[], own: NoteNaming): FoundNaming {
  const slack = 5;
  const scored = noteNamings.map((naming) => {
    const read = notes.map(({ text }) => readNote(text, naming));
    const near = notes.filter(({ within }, i) => {
      const note = read[i];
      return note !== undefined && within && note >= within[0] - slack && note <= within[1] + slack;
    });
    return {
      naming,
      read,
      all: read.filter((note) => note !== undefined).length,
      near: near.length,
    };
  });
  const most = Math.max(...scored.map(({ all }) => all));
  const readers = scored.filter(({ all }) => all === most);
  const nearest = Math.max(...readers.map(({ near }) => near));
  const best = readers.filter(({ near }) => near === nearest);
  const chosen = best.find(({ naming }) => naming === own) ?? best[0]!;
  const differ = best.filter(({ read }) => read.some((note, i) => note !== chosen.read[i]));
  return {
    naming: chosen.naming,
    either: differ.length > 0 ? [chosen.naming, ...differ.map(({ naming }) => naming)] : [],
  };
}
