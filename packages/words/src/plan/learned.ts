import type { LedOnce, Segment } from '@wide-fern/contract';
import { learnedTalk } from '@wide-fern/core';
import { countInWords } from '../counting';
import { lengthInFigures } from '../time';
import { dayInWords } from '../dates';

/** What leading an exercise has taught of its talk. */
export interface LearnedTalk {
  /** «Led three times: talk 0:22 (Tue 13 Oct), 0:31 (Tue 20 Oct). Planned: 0:20.» */
  readonly words: string;
  /** What is best planned, in whole steps of five seconds; undefined where that is what is planned. */
  readonly talk: number | undefined;
}

/** So many evenings are named. */
const named = 4;
const step = 5;

/** What the evenings on which an exercise was led say of its talk; undefined where it never was. */
export function learnedInWords(
  { exercise, choices }: Pick<Segment, 'exercise' | 'choices'>,
  led: readonly LedOnce[],
  timeZone: string,
): LearnedTalk | undefined {
  const times = led.filter((one) => one.exercise === exercise.id);
  if (times.length === 0) return undefined;
  const observed = times.map(({ talk }) => talk);
  const { mean } = learnedTalk(exercise.usual.talk, observed);
  const best = Math.round(mean / step) * step;
  const evenings = times
    .slice(0, named)
    .map(({ talk, ledAt }) => `${lengthInFigures(talk)} (${dayInWords(ledAt, timeZone)})`);
  const more = times.length > named ? ', and before' : '';
  const often = times.length === 1 ? 'once' : `${countInWords(times.length)} times`;
  return {
    words:
      `Led ${often}, with talk of ${evenings.join(', ')}${more}. ` +
      `Planned: ${lengthInFigures(choices.talk)}.`,
    talk: best === choices.talk ? undefined : best,
  };
}
