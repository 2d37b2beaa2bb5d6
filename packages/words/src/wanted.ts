import type { Wanted } from '@wide-fern/core';
import { forbiddenInWords } from './agenda';
import { countInWords, formFor, listInWords } from './counting';
import { kindWords, phaseWords } from './labels';

/** What can be said of the exercises looked for, each by a word of its own in one sentence. */
export const wantedParts = [
  'phase',
  'kind',
  'purpose',
  'place',
  'effort',
  'difficulty',
  'age',
  'keys',
  'use',
  'which',
] as const;
export type WantedPart = (typeof wantedParts)[number];

const which = ({ favourites, ownOnly, hidden }: Wanted): string =>
  listInWords([
    ...(favourites ? ['favourites alone'] : []),
    ...(ownOnly ? ['our own alone'] : []),
    ...(hidden ? ['hidden ones too'] : []),
  ]) || 'all but hidden ones';

/** «effort» from 1 to 5 as it is said of the most that is wanted. */
export const mostEffortWords = [
  '',
  'hardly any effort',
  'little effort',
  'some effort',
  'all but the most effort',
];
export const mostDifficultyWords = ['', 'easy', 'easy or middling'];

/** Each part of what is wanted, in the words of the sentence: «range exercises», «for tuning», «everyone sits and nothing loud». */
export function wantedInWords(wanted: Wanted): Readonly<Record<WantedPart, string>> {
  const { phase, kind, purpose, without = [], mostEffort, mostDifficulty, age } = wanted;
  const { leastKeys, unusedWeeks } = wanted;
  return {
    phase: phase ? `${phaseWords[phase]} exercises` : 'Any exercise',
    kind: kind ? kindWords[kind] : 'of any kind',
    purpose: purpose ? `for ${purpose}` : 'for any purpose',
    place: without.length > 0 ? forbiddenInWords(without) : 'anywhere',
    effort: (mostEffort !== undefined && mostEffortWords[mostEffort]) || 'any effort',
    difficulty:
      (mostDifficulty !== undefined && mostDifficultyWords[mostDifficulty]) || 'easy or hard',
    age: age ? `fit for ${age}` : 'for all ages',
    keys:
      leastKeys === undefined
        ? 'in any keys'
        : `in ${countInWords(leastKeys)} ${formFor(leastKeys, 'key', 'keys')} or more tonight`,
    use:
      unusedWeeks === undefined
        ? 'whenever used last'
        : `not used for ${countInWords(unusedWeeks)} weeks`,
    which: which(wanted),
  };
}

/** Whether a part of the sentence says more than that it does not matter. */
export function isSaid(part: WantedPart, wanted: Wanted): boolean {
  switch (part) {
    case 'place':
      return (wanted.without ?? []).length > 0;
    case 'effort':
      return wanted.mostEffort !== undefined;
    case 'difficulty':
      return wanted.mostDifficulty !== undefined;
    case 'keys':
      return wanted.leastKeys !== undefined;
    case 'use':
      return wanted.unusedWeeks !== undefined;
    case 'which':
      return Boolean(wanted.favourites || wanted.ownOnly || wanted.hidden);
    default:
      return wanted[part] !== undefined;
  }
}
