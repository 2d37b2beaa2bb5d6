import type { Choices, Segment } from '@wide-fern/contract';
import { tonicName } from '@wide-fern/core';
import { toldCells, type DifferenceFact } from '@wide-fern/plan';
import { counted, otherThanTheRest } from '../counting';
import { demonstrationInWords, shapeWords } from '../labels';
import {
  lowVoiceWords,
  purposeTimeWords,
  tooHighWords,
  untilRightWords,
  voiceOrderWords,
} from './leading';
import { linesInTurnWords } from './single';
import { repetitionsInWords } from './words';

const chosenInWords: {
  readonly [K in keyof Choices]-?: (value: Choices[K], segment: Segment) => string;
} = {
  tempo: (value) => `tempo ${value}`,
  repetitions: (_, segment) => repetitionsInWords(segment),
  verses: (value) => `${value} times in each key`,
  talk: (value) => `${value} s of talk`,
  coach: (value) => (value ? `${value} s said between keys` : 'nothing said between keys'),
  after: (value) => (value ? `${value} s said at the end` : 'nothing said at the end'),
  reset: (value) => (value ? `a shake-out every ${value.every} times` : 'no shake-out'),
  demonstrate: (value) => demonstrationInWords(value),
  countInEach: (value) => (value ? 'counted in each time' : 'counted in once'),
  tempoStep: (value) => (value ? `${value} beats quicker each time` : 'one tempo'),
  step: (value, { choices }) =>
    `by ${value} ${choices.bySteps ? 'steps of the scale' : 'semitones'}`,
  bySteps: (value) => (value ? 'by steps of the scale' : 'by semitones'),
  shape: (value) => shapeWords[value],
  pinned: (value) => (value ? 'stays as it is' : 'may be changed'),
  told: (value) => {
    const cells = toldCells(value);
    return cells > 0 ? `${counted(cells, 'key', 'keys')} by hand` : 'no key by hand';
  },
  inKeys: (value) => otherThanTheRest(Object.keys(value ?? {}).length, 'keys'),
  inTimes: (value) => otherThanTheRest(Object.keys(value ?? {}).length, 'times'),
  linesInTurn: (value, { exercise: { music } }) => linesInTurnWords(value ?? false, music.kind),
  voices: (value) => (value ? voiceOrderWords[value] : 'keys as the exercise has them'),
  lowVoices: (value) =>
    value ? `tenors and basses ${lowVoiceWords[value]}` : 'tenors and basses where they lie best',
  tooHigh: (value) => (value ? tooHighWords[value] : 'what is too high as the exercise has it'),
  purposeSaid: (value) => purposeTimeWords[value ?? 'before'],
  untilRight: (value) => untilRightWords(value ?? false),
  start: (value) => (value === null ? 'the best start' : `start ${tonicName(value)}`),
};

/** «tempo 90», «after Slate steps»: what one version of a plan has where the other differs. */
export function differenceInWords(fact: DifferenceFact): string {
  if (fact.code === 'follows') return fact.name === null ? 'first' : `after ${fact.name}`;
  const { field, segment } = fact;
  const inWords = chosenInWords[field] as (value: unknown, segment: Segment) => string;
  return inWords(segment.choices[field], segment);
}
