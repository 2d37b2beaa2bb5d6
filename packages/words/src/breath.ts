import {
  breathAdvice,
  onOwnPitch,
  type BreathAdvice,
  type PlannedExercise,
  type Seconds,
  type SegmentChoices,
} from '@wide-fern/core';
import type { LedPhrase } from '@wide-fern/plan';
import { dayInWords } from './dates';

const shown = (seconds: Seconds): string => String(Math.round(seconds * 10) / 10);

/** «12.5 s on one breath; 9 s is comfortable here. Take it at 84 a minute, …» */
export const breathAdviceInWords = ({ seconds, comfortable, tempo }: BreathAdvice): string =>
  `${shown(seconds)} s on one breath; ${shown(comfortable)} s is comfortable here. ` +
  `Take it at ${tempo} a minute, put a breath in the middle, or let them breathe in turn.`;

/** What to do when a phrase of an exercise outlasts the choir's breath; undefined when it does not. */
export function breathAdviceFor(
  { music, breathBeats, keyChangeBeats, breathing }: PlannedExercise,
  { tempo, verses, repetitions }: Pick<SegmentChoices, 'tempo' | 'verses' | 'repetitions'>,
  comfortable: Seconds,
): string | undefined {
  // Where each breathes when it suits, no phrase is too long.
  if (breathing === 'staggered') return undefined;
  const advice = breathAdvice(
    // On an own pitch each is one breath.
    {
      music,
      tempo,
      breathBeats: onOwnPitch(music) ? 1 : breathBeats,
      keyChangeBeats,
      verses,
      keys: repetitions,
    },
    comfortable,
  );
  return advice && breathAdviceInWords(advice);
}

/** «Breathed out lately, most managing it: 9 s (Tue 24 Nov), 8 s (Tue 17 Nov). By that 8 s is comfortable.» */
export function phraseByLedInWords({ seconds, from }: LedPhrase, timeZone: string): string {
  const evenings = from.map(
    ({ ledAt, seconds: out }) => `${shown(out)} s (${dayInWords(ledAt, timeZone)})`,
  );
  return `Breathed out lately on one breath, most managing it: ${evenings.join(', ')}. By that ${seconds} s is comfortable.`;
}
