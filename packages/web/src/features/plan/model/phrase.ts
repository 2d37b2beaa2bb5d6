import type { Exercise } from '@wide-fern/contract';
import { breathAdvice, type Seconds, type SegmentChoices } from '@wide-fern/core';
import { breathAdviceInWords } from '@wide-fern/words';

/** What to do when a phrase of an exercise outlasts the choir's breath; undefined when it does not. */
export function breathAdviceFor(
  exercise: Exercise,
  comfortable: Seconds,
  choices: Pick<SegmentChoices, 'tempo' | 'verses' | 'repetitions'> = exercise.usual,
): string | undefined {
  const { music, breathBeats, keyChangeBeats } = exercise;
  const { tempo, verses, repetitions } = choices;
  const advice = breathAdvice(
    { music, tempo, breathBeats, keyChangeBeats, verses, keys: repetitions },
    comfortable,
  );
  return advice && breathAdviceInWords(advice);
}
