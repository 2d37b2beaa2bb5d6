import type { MidiNote, Semitones } from '../../units';
import type { Section } from '../../voices/parts';
import type { Shape } from '../shape';

/** A chord that is moved through keys, one note a part. */
export interface ChordProblem {
  /** From the highest part to the lowest. */
  readonly sections: readonly Section[];
  /** The chord's tones over its root, root and third first: [0, 4, 7]. */
  readonly tones: readonly Semitones[];
  readonly shape: Shape;
  readonly keys: number;
  readonly step: Semitones;
  readonly fraction: number;
  readonly preferredStart?: MidiNote;
}

/** The roots in the order sung, and for each the note of every part from the highest to the lowest. */
export interface ChordLadder {
  readonly kind: 'chord';
  readonly start: MidiNote;
  readonly cost: number;
  readonly tonics: readonly MidiNote[];
  readonly voicings: readonly (readonly MidiNote[])[];
}

/** What spreading a chord costs, in whole points (docs/model.md, section 5). */
export const chordCosts = { tooFarApart: 2, usualGap: 12, lowestGap: 19 } as const;
