import type { Repetition } from '../fit/sounding';
import type { Semitones } from '../units';

/** A key as it is sung lower or higher than it was planned: every part with it. */
export const moved = (repetition: Repetition, by: Semitones): Repetition =>
  by === 0
    ? repetition
    : {
        ...repetition,
        tonic: repetition.tonic === undefined ? undefined : repetition.tonic + by,
        parts: repetition.parts.map((one) =>
          one.does === 'sing' ? { ...one, tonic: one.tonic + by } : one,
        ),
      };
