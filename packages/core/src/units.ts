/**
 * The units of the work, as named types. They are plain numbers: a name in a signature says what is
 * expected without wrapping every figure.
 */

/** A distance in equal-tempered semitones; 12 make an octave. May be negative. */
export type Semitones = number;
/** A sounding pitch as a MIDI note number: an integer, 60 = C4, middle C. */
export type MidiNote = number;
/** A frequency in cycles a second. */
export type Hertz = number;
/** A length of time in seconds. */
export type Seconds = number;
/** A length of time in beats of the tempo in force. */
export type Beats = number;
/** A tempo. */
export type BeatsPerMinute = number;

/** A span of pitches, both ends included: lowest first. */
export type PitchRange = readonly [low: MidiNote, high: MidiNote];

/** The length in seconds of so many beats at a tempo. */
export const beatsToSeconds = (beats: Beats, tempo: BeatsPerMinute): Seconds =>
  (beats * 60) / tempo;

/** The span of a pattern over its tonic: its least and greatest offset. */
export interface Span {
  readonly lowest: Semitones;
  readonly highest: Semitones;
}
