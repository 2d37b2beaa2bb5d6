import type { Beats } from '../../units';

/** The scale steps that can be typed: four octaves. */
export const highestStep = 29;
export const longestBeats: Beats = 256;

/** What is wrong in a typed line or slide. */
export type TypedProblemCode =
  | 'no-length'
  | 'length-nothing'
  | 'length-too-long'
  | 'syllable-open'
  | 'syllable-empty'
  | 'syllable-too-long'
  | 'no-step'
  | 'step-out-of-range'
  | 'altered-too-far'
  | 'too-far-away'
  | 'breath-without-note'
  | 'breath-in-bound-note'
  | 'two-dynamics'
  | 'no-blank'
  | 'dynamic-without-note'
  | 'no-note'
  | 'unreadable'
  | 'slide-not-plain'
  | 'slide-first-with-beats'
  | 'slide-without-beats'
  | 'slide-too-short'
  | 'slide-no-time';

/** Where a typed line cannot be read, and why. */
export interface TypedProblem {
  /** The character's place in the text. */
  readonly at: number;
  readonly code: TypedProblemCode;
  /** What stands there, where it helps to name it. */
  readonly word?: string;
}
