import type { Hertz, MidiNote, Seconds } from '@wide-fern/core';

/** What was heard at one moment. */
export interface PitchFrame {
  /** The middle of the audio this frame is about, from the beginning. */
  readonly seconds: Seconds;
  /** The sung pitch; null where nobody sings. */
  readonly hertz: Hertz | null;
  /** The nearest note at the tuning in force; null where nobody sings. */
  readonly midi: MidiNote | null;
  /** How far the pitch lies from that note, −50 to 50; null where nobody sings. */
  readonly cents: number | null;
  /** How periodic the sound is, 0 to 1: near 1 for one clear voice. */
  readonly clarity: number;
  /** How loud it is, in decibels below full scale (0 or less). */
  readonly level: number;
}
