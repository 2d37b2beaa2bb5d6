import type { MidiNote, Semitones } from '../../units';
import type { Voice } from '../../voices/parts';
import type { Climb } from '../shape';

/** Who sings a chord, of which tones, how near to the middle of the voices. */
export interface ChordSetting {
  /** From the highest part to the lowest. */
  readonly sections: readonly Voice[];
  /** The chord's tones over its root, root and third first: [0, 4, 7]. */
  readonly tones: readonly Semitones[];
  readonly fraction: number;
  /** No two parts have the same note: what is built part by part is heard part by part. */
  readonly distinct?: boolean | undefined;
}

/** A chord that is moved through keys, one note a part. */
export interface ChordProblem extends ChordSetting, Climb {
  readonly preferredStart?: MidiNote;
}

/** For each root, in the order sung, the note of every part from the highest to the lowest. */
export interface ChordSequence {
  readonly kind: 'chords';
  readonly cost: number;
  readonly voicings: readonly (readonly MidiNote[])[];
}

/** The first root on which the chord cannot be sung, and the part that has no note of it, if one has none. */
export interface NoVoicing {
  readonly kind: 'no-voicing';
  readonly root: MidiNote;
  readonly part: string | undefined;
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
