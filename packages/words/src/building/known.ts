import type { Purpose } from '@wide-fern/core';
import { noteName, type NoteWriting, type PartNeed, type Tonight } from '@wide-fern/core';
import { capitalise, countInWords, formFor, listInWords } from '../counting';
import { lengthInFigures } from '../time';
import { decidingNeed } from '@wide-fern/plan';

/** «Fifteen minutes», «14:30». */
export function timeToFill(seconds: number): string {
  const minutes = seconds / 60;
  if (!Number.isInteger(minutes)) return lengthInFigures(seconds);
  const count = minutes === 15 ? 'fifteen' : minutes === 20 ? 'twenty' : countInWords(minutes);
  return `${capitalise(count)} ${formFor(minutes, 'minute', 'minutes')}`;
}

/** «the F5 of “Lanterns over Slate”», «the E5 of the sopranos»; undefined where no piece asks and nobody said. */
export function upToInWords(
  tonight: Tonight,
  top: { readonly part: string; readonly note: number } | null,
  writing: NoteWriting,
): string | undefined {
  if (top) {
    const section = tonight.sections.find(({ id }) => id === top.part);
    return `${noteName(top.note, writing)} for the ${section?.many ?? top.part}`;
  }
  const need: PartNeed | undefined = decidingNeed(tonight);
  return need && `the ${noteName(need.highest, writing)} of “${need.highestIn}”`;
}

/** Wishes by their weight, the heaviest first: «long outflow before all, then top notes and tuning». */
export function wishesInWords(wishes: Readonly<Partial<Record<Purpose, number>>>): string {
  const of = (weight: number): Purpose[] =>
    (Object.entries(wishes) as [Purpose, number][])
      .filter(([, one]) => one === weight)
      .map(([skill]) => skill);
  const [most, some] = [of(3), of(2)];
  if (most.length > 0) {
    const then = some.length > 0 ? `, then ${listInWords(some)}` : '';
    return `${listInWords(most)} before all${then}`;
  }
  return some.length > 0 ? listInWords(some) : 'a little of everything';
}

/** What a wish weighs, as one chooses it. */
export const wishWeights: readonly [weight: 0 | 1 | 2 | 3, word: string][] = [
  [0, 'not wished'],
  [1, 'a little'],
  [2, 'some'],
  [3, 'before all'],
];
