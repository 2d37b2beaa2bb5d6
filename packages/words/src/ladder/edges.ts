import { oversteps, type Ladder, type LadderProblem } from '@wide-fern/core';
import { listInWords, semitonesInWords } from '../counting';
import { keyNamed, many, type Wording } from './wording';

/**
 * «sopranos and tenors dip two semitones below their comfort at C», for every part that leaves
 * its comfort, with the key where it goes furthest; parts that do alike together.
 */
export function edgesInWords(
  ladder: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string[] {
  const phrases = new Map<string, string[]>();
  for (const { part, end, by, tonic } of oversteps(ladder, problem)) {
    const phrase =
      `${end === 'top' ? 'top' : 'dip'} ${semitonesInWords(by)} ` +
      `${end === 'top' ? 'above' : 'below'} their comfort at ` +
      keyNamed(wording, tonic);
    phrases.set(phrase, [...(phrases.get(phrase) ?? []), many(wording, part)]);
  }
  return [...phrases].map(([phrase, parts]) => `${listInWords(parts)} ${phrase}`);
}
