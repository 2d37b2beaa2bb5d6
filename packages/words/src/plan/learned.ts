import type { Choices, LedOnce, Segment } from '@wide-fern/contract';
import {
  givenUp,
  learnedPace,
  learnedTalk,
  tonicName,
  type MidiNote,
  type NoteWriting,
  type Tonight,
} from '@wide-fern/core';
import { withoutGivenUp } from '@wide-fern/plan';
import { countInWords } from '../counting';
import { lengthInFigures } from '../time';
import { dayInWords } from '../dates';
import { wordingFor } from './words';

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

/** The times an exercise was led that count, the latest first: what was learned before may have been refused. */
const timesOf = (
  { exercise }: Pick<Segment, 'exercise'>,
  led: readonly LedOnce[],
  from: string | undefined,
): LedOnce[] =>
  led.filter(
    (one) =>
      one.exercise === exercise.id &&
      (from === undefined || Date.parse(one.ledAt) >= Date.parse(from)),
  );

/** Less than this share more or less is no matter. */
const slightly = 0.03;

/** « It takes about 6 % longer than planned.» Nothing where it takes as long. */
function paceInWords(times: readonly LedOnce[]): string {
  const observed = times.flatMap(({ singing, planned }) =>
    planned > 0 ? [singing / planned] : [],
  );
  const more = learnedPace(observed).mean - 1;
  if (Math.abs(more) < slightly) return '';
  const percent = Math.round(Math.abs(more) * 100);
  return ` What is sung or done takes about ${percent} % ${more > 0 ? 'longer' : 'less'} than planned.`;
}

/**
 * What the evenings on which an exercise was led say of its talk; undefined where it never was.
 * @param from what was led before counts no more
 */
export function learnedInWords(
  { exercise, choices }: Pick<Segment, 'exercise' | 'choices'>,
  led: readonly LedOnce[],
  timeZone: string,
  from?: string,
): LearnedTalk | undefined {
  const times = timesOf({ exercise }, led, from);
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
      `Planned: ${lengthInFigures(choices.talk)}.${paceInWords(times)}`,
    talk: best === choices.talk ? undefined : best,
  };
}

/** A key that parts gave up, and what leaves it out. */
export interface GivenUpKeys {
  /** «The altos strained at D (Tue 24 Nov, Tue 17 Nov).» */
  readonly words: string;
  /** «go to D♭» */
  readonly act: string;
  readonly choices: Partial<Choices>;
}

/**
 * What parts gave up of an exercise when it was led, where they would sing it again; undefined else.
 * @param from what was led before counts no more
 */
export function givenUpInWords(
  segment: Segment,
  tonight: Tonight,
  led: readonly LedOnce[],
  {
    timeZone,
    writing,
    from,
  }: {
    readonly timeZone: string;
    readonly writing: NoteWriting;
    readonly from?: string | undefined;
  },
): GivenUpKeys | undefined {
  const times = timesOf(segment, led, from);
  const given = givenUp(times.map(({ strained }) => strained));
  const without = withoutGivenUp(segment, tonight, given);
  if (!without) return undefined;
  const wording = wordingFor(tonight.sections, segment, writing);
  const name = (tonic: MidiNote) => tonicName(tonic, wording.mode, wording.writing);
  const sentences = given
    .filter(({ part }) => without.parts.includes(part))
    .map(({ part, tonic, times: when }) => {
      const { many } = wording.parts!(part);
      const evenings = when.map((time) => dayInWords(times[time]!.ledAt, timeZone));
      return `The ${many} strained at ${name(tonic)} (${evenings.join(', ')}).`;
    });
  return {
    words: sentences.join(' '),
    act: `go to ${name(without.top)}`,
    choices: without.choices,
  };
}
