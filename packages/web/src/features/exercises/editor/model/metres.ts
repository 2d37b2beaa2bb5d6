import type { Metre } from '@wide-fern/core';
import type { ExerciseDraft } from './draft';

const metres: readonly Metre[] = [
  { beats: 2, unit: 4 },
  { beats: 3, unit: 4 },
  { beats: 4, unit: 4 },
  { beats: 3, unit: 8 },
  { beats: 6, unit: 8 },
  { beats: 2, unit: 2 },
  { beats: 3, unit: 2 },
];

/** The kinds of exercise that are written in bars, and those that are in a mode. */
export const withMetre: readonly ExerciseDraft['kind'][] = ['pattern', 'lines', 'round', 'drone'];
export const withMode: readonly ExerciseDraft['kind'][] = [...withMetre, 'glide', 'chord'];

/** «3/4», «without bars» */
export const metreWord = (metre: Metre | null): string =>
  metre ? `${metre.beats}/${metre.unit}` : 'without bars';

/** The bars to choose from; an exercise that has others keeps them. */
export const metreOptions = (now: Metre | null): string[] => [
  ...new Set([null, ...metres, now].map(metreWord)),
];

/** The bars a word means, null without any; undefined for those that are only kept. */
export const metreNamed = (word: string): Metre | null | undefined =>
  [null, ...metres].find((metre) => metreWord(metre) === word);

/** Bars with so much of one before the first; none where it is nothing. */
export const withPickUp = ({ beats, unit }: Metre, pickUp: number): Metre => ({
  beats,
  unit,
  ...(pickUp > 0 ? { pickUp } : {}),
});
