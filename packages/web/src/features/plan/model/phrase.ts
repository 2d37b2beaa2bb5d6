import type { Exercise } from '@wide-fern/contract';
import { phraseAdvice, type Seconds, type SegmentChoices } from '@wide-fern/core';

/** What to do when a phrase of an exercise outlasts the choir's breath; undefined when it does not. */
export function phraseOf(
  exercise: Exercise,
  comfortable: Seconds,
  choices: Pick<SegmentChoices, 'tempo' | 'verses' | 'repetitions'> = exercise.usual,
): string | undefined {
  const { music, breathBeats, keyChangeBeats } = exercise;
  const { tempo, verses, repetitions } = choices;
  return phraseAdvice(
    { music, tempo, breathBeats, keyChangeBeats, verses, keys: repetitions },
    comfortable,
  );
}
