import type { RunState, Seconds } from '@wide-fern/core';
import type { EvaluatedPlan } from '../evaluate';

/** How long there is to come back from one movement before the next begins by itself. */
export const betweenMovements: Seconds = 3;

/**
 * Whether a movement was done for as long as it is planned, and the next one of the same exercise is due;
 * never while it is talked, paused or stayed with, and never from one exercise into another.
 * @param state with the time up to now
 */
export function movesOn({ segments }: EvaluatedPlan, state: RunState): boolean {
  const { key, open, isPaused, isTalking, isHeld, isOver, spent } = state;
  const led = state.segments[open];
  if (key === null || !led || isPaused || isTalking || isHeld || isOver) return false;
  const present = segments.find(({ segment }) => segment.id === led.id)?.segment;
  if (present?.exercise.music.kind !== 'body' || key + 1 >= led.keys.length) return false;
  return spent >= led.keys[key]!.seconds + betweenMovements;
}
