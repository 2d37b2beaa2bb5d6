import type { EditFact } from '@wide-fern/contract';
import {
  tonicName,
  type LowVoiceOrder,
  type PurposeTime,
  type TooHighOrder,
  type VoiceOrder,
} from '@wide-fern/core';
import { counted, otherThanTheRest } from '../counting';
import { demonstrationInWords, shapeWords } from '../labels';
import { lengthInFigures } from '../time';
import {
  lowVoiceWords,
  purposeTimeWords,
  tooHighWords,
  untilRightWords,
  voiceOrderWords,
} from './leading';
import { turnsInWords } from './single';

/** What was chosen, as a history lists it: «tempo 90». */
function chosenInWords({ field, value, unit }: Extract<EditFact, { code: 'chosen' }>): string {
  switch (field) {
    case 'tempo':
      return `tempo ${value}`;
    case 'repetitions':
      return unit
        ? counted(Number(value), unit.slice(0, -1), unit)
        : `${value} keys, rounds or times`;
    case 'verses':
      return `${value} times in each key`;
    case 'step':
      return `by ${value} semitones`;
    case 'talk':
      return `${value} s of talk`;
    case 'demonstrate':
      return demonstrationInWords(value);
    case 'coach':
      return value === null ? 'nothing said between keys' : `${value} s said between keys`;
    case 'after':
      return value === null ? 'nothing said at the end' : `${value} s said at the end`;
    case 'tempoStep':
      return value === null || value === 0 ? 'one tempo' : `${value} beats quicker each time`;
    case 'bySteps':
      return value === true ? 'by steps of the scale' : 'by semitones';
    case 'countInEach':
      return value === true ? 'counted in each time' : 'counted in once';
    case 'pinned':
      return value === true ? 'stays as it is' : 'may be changed again';
    case 'shape':
      return shapeWords[value as keyof typeof shapeWords];
    case 'linesInTurn':
      return turnsInWords(value === true);
    case 'voices':
      return value === null
        ? 'keys as the exercise has them'
        : voiceOrderWords[value as VoiceOrder];
    case 'lowVoices':
      return value === null
        ? 'tenors and basses where they lie best'
        : `tenors and basses ${lowVoiceWords[value as LowVoiceOrder]}`;
    case 'tooHigh':
      return value === null
        ? 'what is too high as the exercise has it'
        : tooHighWords[value as TooHighOrder];
    case 'purposeSaid':
      return purposeTimeWords[(value ?? 'before') as PurposeTime];
    case 'untilRight':
      return untilRightWords(value === true);
    case 'start':
      return typeof value === 'number' ? `start ${tonicName(value)}` : 'the best start';
  }
}

/** What an edit did, as a history lists it: «Slate steps: tempo 90». */
export function editInWords(fact: EditFact): string {
  switch (fact.code) {
    case 'added':
      return `${fact.name} added as number ${fact.place}`;
    case 'taken-out':
      return `${fact.name} left out`;
    case 'moved':
      return `${fact.name} moved to ${fact.place} of ${fact.of}`;
    case 'chosen':
      return `${fact.name}: ${chosenInWords(fact)}`;
    case 'reset':
      return fact.every === null
        ? `${fact.name}: no shake-out`
        : `${fact.name}: a shake-out every ${fact.every} times`;
    case 'told':
      return fact.cells === 0
        ? `${fact.name}: every part does what is best`
        : `${fact.name}: ${counted(fact.cells, 'key', 'keys')} by hand`;
    case 'single':
      return `${fact.name}: ${otherThanTheRest(fact.count, fact.unit)}`;
    case 'instead':
      return `${fact.name} in place of ${fact.was}`;
    case 'split':
      return `${fact.name} in two parts`;
    case 'tonight':
      return 'keys for the sections as they are now';
    case 'replaced':
      return 'another version taken';
    case 'built':
      return `a warm-up of ${counted(fact.segments, 'segment', 'segments')} that was built`;
    case 'fitted':
      return `fitted to the time: ${lengthInFigures(fact.seconds)}`;
  }
}
