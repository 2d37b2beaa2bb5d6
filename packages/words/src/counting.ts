import type { Semitones } from '@wide-fern/core';

const numerals = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A small count in words, a larger one in figures: «seven», «18». */
export const countInWords = (count: number): string => numerals[count] ?? String(count);

/** «a semitone», «two semitones». */
export const semitonesInWords = (count: Semitones): string =>
  count === 1 ? 'a semitone' : `${countInWords(count)} semitones`;

const intervals = [
  'a unison',
  'a semitone',
  'a tone',
  'a minor third',
  'a third',
  'a fourth',
  'a tritone',
  'a fifth',
  'a minor sixth',
  'a sixth',
  'a minor seventh',
  'a seventh',
  'an octave',
  'a minor ninth',
  'a ninth',
];

/** An interval in words: «a fifth», «a ninth», else counted in semitones. */
export const intervalInWords = (semitones: Semitones): string =>
  intervals[Math.abs(semitones)] ?? semitonesInWords(Math.abs(semitones));

/** Plural forms as English has them: of one, and of anything else. */
const forms = new Intl.PluralRules('en-GB');
const lists = new Intl.ListFormat('en-GB', { type: 'conjunction' });
const choices = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/** «once», «twice», «three times». */
export const timesInWords = (count: number): string =>
  count === 1 ? 'once' : count === 2 ? 'twice' : `${countInWords(count)} times`;

/** The form of a word that goes with a count: «key», «keys». */
export const formFor = (count: number, one: string, more: string): string =>
  forms.select(count) === 'one' ? one : more;

/** A count with its word: «one key», «seven keys», «18 keys». */
export const counted = (count: number, one: string, more: string): string =>
  `${countInWords(count)} ${formFor(count, one, more)}`;

/** All of so many persons: «the one singer», «both», «all seven». */
export const allInWords = (count: number, one: string): string =>
  count === 1 ? `the one ${one}` : count === 2 ? 'both' : `all ${countInWords(count)}`;

/** «two keys other than the rest», «all keys alike»: how many of some stand apart. */
export const otherThanTheRest = (count: number, unit: 'keys' | 'times'): string =>
  count === 0
    ? `all ${unit} alike`
    : `${counted(count, unit.slice(0, -1), unit)} other than the rest`;

/** A count in figures with its word: «1 exercise», «133 exercises». */
export const figured = (count: number, one: string, more: string): string =>
  `${count} ${formFor(count, one, more)}`;

/** «sopranos», «sopranos and tenors», «altos, tenors and basses». */
export const listInWords = (words: readonly string[]): string => lists.format(words);

/** «fewer keys», «a narrower pattern or fewer keys». */
export const choiceInWords = (words: readonly string[]): string => choices.format(words);

/** With a capital letter, as a sentence begins. */
export const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Phrases as sentences. */
export const asSentences = (phrases: readonly string[]): string[] =>
  phrases.map((phrase) => `${capitalise(phrase)}.`);
