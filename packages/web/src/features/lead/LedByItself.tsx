import type { Segment } from '@wide-fern/contract';
import type { RunState } from '@wide-fern/core';
import { countedAt } from '@wide-fern/words';
import { useMemo } from 'react';
import { CountedShape } from './CountedShape';

/**
 * Counted breath, a movement or a text to a beat that leads itself: the count, what is done, and one shape
 * that fills and empties with it; nothing for what is sung.
 * @param since seconds since it began; below 0 while it is explained
 */
export function LedByItself({
  segment,
  settled: { key, longer },
  since,
  isSilent = false,
}: {
  readonly segment: Segment;
  readonly settled: Pick<RunState, 'key' | 'longer'>;
  readonly since: () => number;
  /** The shape alone, without counts and words. */
  readonly isSilent?: boolean;
}) {
  const at = useMemo(() => countedAt(segment, { key, longer }), [segment, key, longer]);
  if (!at) return null;
  const isBreath = segment.exercise.music.kind === 'breath';
  // Beside a movement or a text, what is done stands in words.
  const size = isBreath ? (isSilent ? 400 : undefined) : isSilent ? 280 : 160;
  return <CountedShape {...{ since, at, isSilent, size }} />;
}
