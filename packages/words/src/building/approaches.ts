import type { OwnApproach } from '@wide-fern/contract';
import { coolingDown, type ApproachId } from '@wide-fern/core';

/** What an approach is called, and in two sentences why one would choose it. */
export interface ApproachWords {
  readonly name: string;
  readonly why: string;
}

/** The approaches that come with it. */
export const approachWords: Readonly<Record<ApproachId, ApproachWords>> = {
  'evening-after-work': {
    name: 'evening after work',
    why: 'For people who come from a day of sitting and talking. Body and breath first, then the voice is led up step by step.',
  },
  'cold-morning': {
    name: 'cold morning',
    why: 'For voices that have been silent since last night. Much for the body, small slides where each voice lies, height late and little.',
  },
  'before-a-performance': {
    name: 'before a performance',
    why: 'Only what everybody knows, so that nothing unsettles. Words and the music itself take the last part.',
  },
  'breath-first': {
    name: 'breath first',
    why: 'For phrases that break off too early: a quarter of the time or more is breath alone. Few keys, the same exercises from week to week, a little longer each time.',
  },
  'sound-first': {
    name: 'sound first',
    why: 'For people who come moving, or with little time: they sing at once. Sound is found in the middle and carried up and down from there.',
  },
  'high-and-light': {
    name: 'high and light, downward',
    why: 'Begins where voices are light and carries that down. For a pressed or heavy sound; nothing climbs under load.',
  },
  'low-and-rising': {
    name: 'low and rising',
    why: 'Begins where people speak and goes a little higher each time. For low voices, and for days on which height does not come by itself.',
  },
  'ears-first': {
    name: 'ears first',
    why: 'Listening before singing out: one pitch for a long time, then chords. For a choir that drifts or does not hear itself.',
  },
  'tongue-and-lips-first': {
    name: 'tongue and lips first',
    why: 'Nimble lips and clear words before any height. For quick texts, and for rooms where nothing loud is possible.',
  },
};

/** What ends an evening. */
const coolDown: ApproachWords = {
  name: 'letting the voice rest',
  why: 'For the end of an evening. Light and low in effort, nothing strong, and the body lets go.',
};

const wordsOf = (id: string): ApproachWords | undefined =>
  id === coolingDown.id ? coolDown : approachWords[id as ApproachId];

/** What an approach is called: one of those that come with it, or a choir's own. */
export function approachName(id: string, own: readonly OwnApproach[]): string {
  const mine = own.find(({ approach }) => approach.id === id);
  return mine?.name ?? wordsOf(id)?.name ?? id;
}

/** Why one would choose it; nothing for one of the choir's own. */
export const approachWhy = (id: string): string => wordsOf(id)?.why ?? '';

/** What a choir finds easy to learn. */
export const levelWords: readonly [level: 1 | 2 | 3, word: string][] = [
  [1, 'easy to learn'],
  [2, 'what a choir learns in a minute'],
  [3, 'hard ones too'],
];
