import type { Segment } from '@wide-fern/contract';
import { moveAt } from '@wide-fern/words';
import { useCallback } from 'react';
import { CountedShape } from './CountedShape';

/**
 * A movement that counts itself: each side as often as it is wanted, moved and held.
 * @param place which of the exercise's movements
 * @param since seconds since it began; below 0 while it is explained
 */
export function MoveShape({
  segment,
  place,
  since,
  isSilent,
}: {
  readonly segment: Segment;
  readonly place: number;
  readonly since: () => number;
  readonly isSilent?: boolean;
}) {
  const at = useCallback((seconds: number) => moveAt(segment, place, seconds), [segment, place]);
  return <CountedShape {...{ since, at, isSilent }} size={isSilent ? 280 : 160} />;
}
