import { segmentScore, type Listening, type Section } from '@wide-fern/core';
import type { Evaluated } from './evaluate';

/** A segment as it is heard, in its keys; undefined for what has no pitch, and where no key works. */
export function listeningOf(
  { segment, computed }: Evaluated,
  sections: readonly Section[],
): Listening | undefined {
  const { exercise, choices } = segment;
  const score = segmentScore(segment, sections, computed.repetitions);
  if (!score || score.keys.length === 0) return undefined;
  const { countIn, breathBeats, keyChangeBeats } = exercise;
  return { score, countIn, verses: choices.verses, breathBeats, keyChangeBeats };
}
