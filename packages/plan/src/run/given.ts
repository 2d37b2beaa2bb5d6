import {
  moved,
  openings,
  segmentScore,
  writtenIn,
  type GivenKey,
  type RunState,
  type Section,
} from '@wide-fern/core';
import type { Evaluated } from '../evaluate';

/** What can be heard of the key a run is at, or of the first while it is explained; moved as it is sung now. */
export function givenNow(
  { segment, computed }: Evaluated,
  sections: readonly Section[],
  { key, shift }: Pick<RunState, 'key' | 'shift'>,
): GivenKey {
  const { exercise, choices } = segment;
  const { countIn, breathBeats, music } = exercise;
  const repetitions = computed.repetitions.map((one) => moved(one, shift));
  const place = key ?? 0;
  return {
    opening: openings(writtenIn(segment), repetitions)[place],
    score: segmentScore(segment, sections, repetitions),
    key: place,
    tempo: choices.tempo,
    metre: 'metre' in music ? music.metre : undefined,
    listening: { countIn, breathBeats, verses: choices.verses },
  };
}
