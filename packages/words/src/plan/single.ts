import type { Choices } from '@wide-fern/contract';
import type { PlayedWay, SingleKey } from '@wide-fern/core';
import { figured } from '../counting';
import { ordinal, passInWords } from '../passes';

export const playedWords: Readonly<Record<PlayedWay, string>> = {
  chord: 'only the chord before it',
  nothing: 'without the instrument',
};

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

/** What is other in single keys and times of a segment, a sentence each: «Third key: on “mah”.» */
export const singleInWords = ({
  inKeys = {},
  inTimes = {},
  repetitions,
  verses,
}: Pick<Choices, 'inKeys' | 'inTimes' | 'repetitions' | 'verses'>): string[] => [
  ...inOrder(inKeys)
    .filter(([place]) => place < repetitions)
    .map(([place, one]) => sentence(`${ordinal(place)} key: ${singleKeyInWords(one)}`)),
  ...inOrder(inTimes)
    .filter(([place]) => place < verses)
    .map(([place, way]) => sentence(`${ordinal(place)} time in each key: ${passInWords(way)}`)),
];
