import type { Beats, BeatsPerMinute, MidiNote, Seconds, Semitones } from '../units';
import type { Music } from '../exercise/music';
import type { Phase } from '../exercise/vocabulary';
import type { Shape } from '../ladder';

/** What the computation needs to know of an exercise. */
export interface PlannedExercise {
  readonly phase: Phase;
  readonly music: Music;
  readonly countIn: Beats;
  readonly breathBeats: Beats;
  readonly keyChangeBeats: Beats;
  /** How its keys may be chosen; without a word the phase's share and the usual octave moves. */
  readonly keys?:
    | {
        readonly fraction?: number | undefined;
        readonly strict?: boolean | undefined;
        readonly octaveMoves?: readonly Semitones[] | undefined;
        readonly mayRest?: boolean | undefined;
      }
    | undefined;
  /** What bars of a piece climb to. */
  readonly aim?: Aim | undefined;
}

/** Bars of a piece as they are sung there: the part that has the trouble, and the tonic at which it sings them as written. */
export interface Aim {
  readonly part: string;
  /** In the treble octave. */
  readonly tonic: MidiNote;
}

/** What the director chose for a segment. */
export interface SegmentChoices {
  readonly talk: Seconds;
  readonly demonstrate: boolean;
  readonly tempo: BeatsPerMinute;
  /** Keys of what is pitched; rounds of breath; times through what is spoken or moved. */
  readonly repetitions: number;
  /** How often in each key. */
  readonly verses: number;
  readonly shape: Shape;
  readonly step: Semitones;
  /** A start chosen by hand, or null for the best one. */
  readonly start: MidiNote | null;
}

export interface PlannedSegment {
  readonly id: string;
  readonly exercise: PlannedExercise;
  readonly choices: SegmentChoices;
}
