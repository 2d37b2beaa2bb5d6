import type { Segment } from '@wide-fern/contract';
import { differingTimes, passIn, timingOf, writtenIn, type Pass } from '@wide-fern/core';

/** The ways a key is sung in, one for each time that differs; none where every time is alike. */
export function waysIn(segment: Segment, key: number): Pass[] {
  const { exercise, choices } = segment;
  const times = timingOf(exercise, choices).verses;
  const written = writtenIn(segment);
  const differing = Math.min(times, differingTimes(written, times));
  if (differing < 2) return [];
  return Array.from({ length: differing }, (_, verse) => passIn(written, key, verse) ?? {});
}
