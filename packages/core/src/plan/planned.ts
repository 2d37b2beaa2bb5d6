import type { Beats, BeatsPerMinute, MidiNote, Seconds, Semitones } from '../units';
import type { Music } from '../exercise/music';
import type { Anchor, Breathing, Grouping, Phase } from '../exercise/vocabulary';
import type { Accompaniment } from '../exercise/accompaniment';
import type { Pass, Passes } from '../exercise/passes';
import type { InPlaces, SingleKey } from '../exercise/single';
import type { FixedMoves, Shape } from '../ladder';
import type { Demonstration, Reset } from '../timing';
import type { Leading, PurposeTime } from './leading';

/** What the computation needs to know of an exercise. */
export interface PlannedExercise {
  readonly phase: Phase;
  /** Where on the voice it lives. */
  readonly anchor: Anchor;
  readonly music: Music;
  readonly countIn: Beats;
  readonly breathBeats: Beats;
  readonly keyChangeBeats: Beats;
  /** Breath taken together where nothing else is said. */
  readonly breathing?: Breathing | undefined;
  /** What changes from pass to pass. */
  readonly passes?: Passes | undefined;
  /** What the instrument plays under each key. */
  readonly accompaniment?: Accompaniment | undefined;
  /** How its keys may be chosen; without a word the phase's share and the usual octave moves. */
  readonly keys?:
    | {
        readonly fraction?: number | undefined;
        readonly strict?: boolean | undefined;
        readonly octaveMoves?: readonly Semitones[] | undefined;
        readonly mayRest?: boolean | undefined;
        /** High and low voices one after the other or together, each with keys of its own, where all sing alike. */
        readonly groups?: Grouping | undefined;
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
export interface SegmentChoices extends Leading {
  readonly talk: Seconds;
  /** What is said between two keys, and at the end; nothing when it is not said. */
  readonly coach?: Seconds | undefined;
  readonly after?: Seconds | undefined;
  readonly reset?: Reset | undefined;
  readonly demonstrate: Demonstration;
  /** Whether every pass is counted in, or only the first. */
  readonly countInEach?: boolean | undefined;
  readonly tempo: BeatsPerMinute;
  /** Beats a minute by which each pass is quicker than the one before. */
  readonly tempoStep?: number | undefined;
  /** Keys of what is pitched; rounds of breath; times through what is spoken or moved. */
  readonly repetitions: number;
  /** How often in each key. */
  readonly verses: number;
  readonly shape: Shape;
  /** From key to key: semitones, or steps of the music's own scale. */
  readonly step: number;
  readonly bySteps?: boolean | undefined;
  /** A start chosen by hand, or null for the best one. */
  readonly start: MidiNote | null;
  /** What parts were told to do in single keys, by part and by the key's place. */
  readonly told?: Readonly<Record<string, FixedMoves>> | undefined;
  /** What is other in single keys, and for the so manieth time in each key. */
  readonly inKeys?: InPlaces<SingleKey> | undefined;
  readonly inTimes?: InPlaces<Pass> | undefined;
  /** Whether each time in a key every part takes the next line. */
  readonly linesInTurn?: boolean | undefined;
  /** When its purpose is said; before where it is not chosen. */
  readonly purposeSaid?: PurposeTime | undefined;
  /** Whether what did not succeed is done again until it does, whatever the number. */
  readonly untilRight?: boolean | undefined;
}

export interface PlannedSegment {
  readonly id: string;
  readonly exercise: PlannedExercise;
  readonly choices: SegmentChoices;
}
