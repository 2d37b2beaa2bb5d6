import type { Segment } from '@wide-fern/contract';
import type { BreathChange } from '@wide-fern/core';
import { breathAt } from '@wide-fern/words';
import { useCallback } from 'react';
import { CountedShape } from './CountedShape';

/**
 * Counted breath that leads itself: the count, what is done, and one shape that fills, waits, empties and waits.
 * @param longer what was made longer or shorter while it went on
 * @param since seconds since the first breath began; below 0 before it
 */
export function BreathShape({
  segment,
  longer,
  since,
  isSilent,
}: {
  readonly segment: Segment;
  readonly longer: readonly BreathChange[];
  readonly since: () => number;
  readonly isSilent?: boolean;
}) {
  const at = useCallback(
    (seconds: number) => breathAt(segment, longer, seconds),
    [segment, longer],
  );
  return <CountedShape {...{ since, at, isSilent }} size={isSilent ? 400 : undefined} />;
}
