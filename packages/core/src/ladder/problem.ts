import { own } from '../own';
import type { Span } from '../units';
import type { MidiNote, PitchRange, Semitones } from '../units';
import type { Voice } from '../voices/parts';

import type { Climb } from './shape';

/** A pattern as a ladder sees it. */
export interface LadderPattern extends Span {
  /** Never beyond anyone's comfort. */
  readonly strict?: boolean;
  /** Allowed displacements from the usual octave; without it 0, −12 and 12. */
  readonly octaveMoves?: readonly Semitones[];
  /** Whether parts may rest in some keys; they may unless forbidden. */
  readonly mayRest?: boolean;
  /** A held note that lies as well in one octave as in another: no octave is away from the usual. */
  readonly anyOctave?: boolean;
}

/** Everything the choice of keys depends on (docs/model.md, section 5). */
export interface LadderProblem extends Climb {
  readonly sections: readonly Voice[];
  /** What every part sings that has nothing of its own. */
  readonly pattern: LadderPattern;
  /** What single parts sing instead, by their ids: the holders of a drone, a line of their own. */
  readonly own?: Readonly<Record<string, LadderPattern>>;
  /** The stage's share of the comfort, above 0 and at most 1. */
  readonly fraction: number;
  /** Windows of single parts in place of the stage's, by their ids: the lowest and highest note. */
  readonly windows?: Readonly<Record<string, PitchRange>>;
  /** The first tonic where it was chosen by hand. */
  readonly start?: MidiNote;
  readonly preferredStart?: MidiNote;
  /** A tonic the ladder should reach at its highest. */
  readonly goalTonic?: MidiNote;
  /** A tonic the ladder should reach at its lowest. */
  readonly goalBottomTonic?: MidiNote;
  /** What single parts do in single keys because it was chosen by hand: by part and place of the key. */
  readonly fixed?: Readonly<Record<string, FixedMoves>>;
}

/** What a part can be told to do in a key: as below, or to hold the key's note. */
export type ToldMove = Move | 'hold';

/** What a part does in some of the keys, by the key's place in the ladder. */
export type FixedMoves = Readonly<Record<number, ToldMove>>;

/** An octave more or less either way is enough for a held note to lie well in any part. */
export const heldOctaves: readonly Semitones[] = [0, -12, 12, -24, 24];

/** The key's note held, in whatever octave lies best. */
export const heldPattern: LadderPattern = {
  ...{ lowest: 0, highest: 0 },
  ...{ octaveMoves: heldOctaves, anyOctave: true },
};

/** What one part sings. */
export const patternOf = (
  { pattern, own: patterns }: Pick<LadderProblem, 'pattern' | 'own'>,
  part: string,
): LadderPattern => own(patterns, part) ?? pattern;

/** Whether a part was told to hold the key's note in a key, by its place. */
export const isToldToHold = (
  { fixed }: Pick<LadderProblem, 'fixed'>,
  part: string,
  place: number,
): boolean => own(fixed, part)?.[place] === 'hold';

/** What one part sings in one of the keys: what is its own, or the key's note where it was told to hold that. */
export const patternIn = (
  problem: Pick<LadderProblem, 'pattern' | 'own' | 'fixed'>,
  part: string,
  place: number,
): LadderPattern => (isToldToHold(problem, part, place) ? heldPattern : patternOf(problem, part));

/** The parts that hold a note in whatever octave suits them. */
export const freeOctaves = ({ own: patterns = {} }: Pick<LadderProblem, 'own'>): string[] =>
  Object.keys(patterns).filter((id) => own(patterns, id)?.anyOctave);

/** What a part does in one key: the octave it sings away from the treble tonic, or «rest». */
export type Move = Semitones | 'rest';

/** What one part does in each key of a ladder, and what that costs. */
export interface PartPath {
  readonly id: string;
  readonly moves: readonly Move[];
  readonly cost: number;
}

/** The keys in the order sung, and what each part does in them. */
export interface Ladder {
  readonly kind: 'ladder';
  readonly start: MidiNote;
  readonly cost: number;
  readonly tonics: readonly MidiNote[];
  readonly paths: readonly PartPath[];
  /** The parts that go beyond their reach, because a start was chosen that has no other way. */
  readonly beyond?: readonly string[];
}

/** Why there is no ladder: the part and the end of its range that prevent it. */
export interface Infeasible {
  readonly kind: 'infeasible';
  readonly part: string;
  readonly end: 'top' | 'bottom';
}

/** What a part does in a ladder. */
export const pathOf = (ladder: Ladder, id: string): PartPath | undefined =>
  ladder.paths.find((path) => path.id === id);
