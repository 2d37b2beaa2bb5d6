import type { Articulation, Dynamic, Swell } from '../../exercise/vocabulary';
import type { Metre } from '../../exercise/music';
import type { Clef } from '../../notation';
import type { Mode } from '../../pitch';
import type { MidiNote } from '../../units';

/** A length or a place in quarter notes, whatever the metre's beat is. */
export type Quarters = number;
/** A tempo in quarter notes a minute. */
export type QuartersPerMinute = number;

/** A bar as it is written. Bars follow each other; how they are sung is told by their signs. */
export interface ScoreBar {
  /** What is printed: a pick-up is 0; the second half of a divided bar has the first one's number. */
  readonly number: number;
  /** Whether it counts as a bar of its own: a pick-up does not, nor does the second half of one. */
  readonly counted: boolean;
  readonly quarters: Quarters;
  /** A repeat begins here. */
  readonly repeatFrom?: boolean | undefined;
  /** A repeat ends here; how often it is sung in all, when the sign says so. */
  readonly repeatTo?: { readonly times?: number | undefined } | undefined;
  /** The endings this bar belongs to: [1], or [1, 2]. */
  readonly endings?: readonly number[] | undefined;
  /** Where «dal segno» goes back to. */
  readonly segno?: boolean | undefined;
  /** Where «to coda» goes on. */
  readonly coda?: boolean | undefined;
  /** From the end of this bar to the coda, after having gone back. */
  readonly toCoda?: boolean | undefined;
  /** The end, after having gone back. */
  readonly fine?: boolean | undefined;
  /** From the end of this bar back to the beginning, or to the segno. */
  readonly backTo?: 'beginning' | 'segno' | undefined;
  /** Something else begins after it: an exercise's next key. */
  readonly sectionEnd?: boolean | undefined;
}

/** A note as it stands on a staff, sounding where it sounds. */
export interface StaffNote {
  /** The bar's place in the score. */
  readonly bar: number;
  /** From the bar's beginning. */
  readonly at: Quarters;
  readonly quarters: Quarters;
  readonly midi: MidiNote;
  readonly voice: string;
  readonly stem?: 'up' | 'down' | undefined;
  /** Tied to from the note before, and tied to the next one. */
  readonly tieStop?: boolean | undefined;
  readonly tieStart?: boolean | undefined;
  /** Its syllables, verse by verse; a hyphen ends one whose word goes on. */
  readonly syllables?: readonly string[] | undefined;
  /** Bound to the next note. */
  readonly slur?: boolean | undefined;
  readonly breathAfter?: boolean | undefined;
  readonly articulation?: Articulation | undefined;
  readonly dynamic?: Dynamic | undefined;
  /** Growing or fading from here on. */
  readonly swell?: Swell | undefined;
  /** The last note that grows or fades. */
  readonly swellEnd?: boolean | undefined;
  /** Where it slides to while it lasts. */
  readonly slideTo?: MidiNote | undefined;
}

/** A staff as the score has it: of one part, of two, or of an instrument. */
export interface Staff {
  readonly id: string;
  /** As the score names it; may be empty. */
  readonly name: string;
  readonly abbreviation: string;
  readonly clef: Clef;
  /** What the score brackets it with: «Choir», «Soprano». */
  readonly group?: string | undefined;
  /** Whether the file says in which octave it sounds, so that nothing has to be guessed. */
  readonly octaveSaid?: boolean | undefined;
  /** How many staves its instrument has: keyboards have two. */
  readonly ofStaves: number;
  /** In the order of time; of notes together the highest first. */
  readonly notes: readonly StaffNote[];
  /** For each bar, the voices that are written in it, rests too, in the order of their names. */
  readonly voices: readonly (readonly string[])[];
}

export interface TempoMark {
  readonly bar: number;
  readonly at: Quarters;
  readonly tempo: QuartersPerMinute;
}
export interface KeyMark {
  readonly bar: number;
  readonly fifths: number;
  readonly mode: Mode;
}
export interface MetreMark {
  readonly bar: number;
  readonly metre: Metre;
}

/** Something in a file that was not understood, or is not taken as it stands. */
export interface ScoreWarning {
  /** The printed number of the bar; null for the whole score. */
  readonly bar: number | null;
  /** Whose: a part's or staff's name; empty for all. */
  readonly where: string;
  readonly what: string;
  /**
   * Whom it concerns, where it does not both: what is not counted in a piece may be missed in an
   * exercise, which keeps what is written.
   */
  readonly of?: 'piece' | 'exercise' | undefined;
}

/** A score as it was read: staves and bars, before anyone said which line is which part. */
export interface PieceScore {
  readonly title: string;
  readonly composer: string;
  readonly language: string;
  readonly bars: readonly ScoreBar[];
  readonly staves: readonly Staff[];
  readonly tempos: readonly TempoMark[];
  readonly keys: readonly KeyMark[];
  readonly metres: readonly MetreMark[];
  readonly warnings: readonly ScoreWarning[];
  /** What our own files say beside the notes, by names of ours. */
  readonly said?: Readonly<Record<string, string>> | undefined;
}

/** Times closer than this are one, in quarters: below every written length, above what sums of thirds are off. */
export const sameTime: Quarters = 1e-4;

/** The last of marks that holds in a bar; the first one holds before it too. */
export function inForce<M extends { readonly bar: number }>(
  marks: readonly M[],
  bar: number,
): M | undefined {
  let found = marks[0];
  for (const mark of marks) if (mark.bar <= bar) found = mark;
  return found;
}
