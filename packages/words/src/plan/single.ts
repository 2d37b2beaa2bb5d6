import type { Segment } from '@wide-fern/contract';
import type { Music, PlayedWay, SingleKey } from '@wide-fern/core';
import { capitalise, figured } from '../counting';
import { ordinal, passInWords } from '../passes';

export const playedWords: Readonly<Record<PlayedWay, string>> = {
  chord: 'only the chord before it',
  nothing: 'without the instrument',
};

/** Whether parts change what they sing from time to time in a key, whatever it is. */
export const turnsInWords = (inTurn: boolean): string =>
  inTurn ? 'the parts take turns' : 'the parts take no turns';

/** The same where the music is known: who sings which line, begins, or holds. */
export function linesInTurnWords(inTurn: boolean, kind: Music['kind']): string {
  switch (kind) {
    case 'lines':
      return inTurn ? 'each time everybody takes the next line' : 'everybody keeps the same line';
    case 'round':
      return inTurn ? 'each time others begin' : 'the same begin each time';
    case 'drone':
      return inTurn ? 'each time others hold the note' : 'the same hold the note each time';
    default:
      return turnsInWords(inTurn);
  }
}

/** «on “mah”, soft; without the instrument; then 10 s: shake out» */
export const singleKeyInWords = ({ way, pause, played }: SingleKey): string =>
  [
    ...(way ? [passInWords(way)] : []),
    ...(played ? [playedWords[played]] : []),
    ...(pause ? [`then ${figured(pause.seconds, 's', 's')}: ${pause.does ?? 'a pause'}`] : []),
  ].join('; ');

const inOrder = <T>(places: Readonly<Record<string, T>>): (readonly [number, T])[] =>
  Object.entries(places)
    .map(([place, one]) => [Number(place), one] as const)
    .sort(([one], [other]) => one - other);

const sentence = (text: string): string => (/[.!?]$/.test(text) ? text : `${text}.`);

/** Who takes what from time to time in each key, where lines go round: «Each time others begin.» Else empty. */
export const turnsOfSegment = ({
  exercise: { music },
  choices: { linesInTurn, verses },
}: Pick<Segment, 'exercise' | 'choices'>): string =>
  linesInTurn && verses > 1 ? sentence(capitalise(linesInTurnWords(true, music.kind))) : '';

/** What is other in single keys and times of a segment, a sentence each: «Third key: on “mah”.» */
export const singleInWords = ({
  choices: { inKeys = {}, inTimes = {}, repetitions, verses },
}: Pick<Segment, 'choices'>): string[] => [
  ...inOrder(inKeys)
    .filter(([place]) => place < repetitions)
    .map(([place, one]) => sentence(`${ordinal(place)} key: ${singleKeyInWords(one)}`)),
  ...inOrder(inTimes)
    .filter(([place]) => place < verses)
    .map(([place, way]) => sentence(`${ordinal(place)} time in each key: ${passInWords(way)}`)),
];
