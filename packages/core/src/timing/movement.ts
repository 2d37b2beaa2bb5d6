import type { Seconds } from '../units';
import { movementSeconds, type Movement } from './segment';

/** Where a movement is: on which side, which time, and whether it is moved or held. */
export interface MoveMoment {
  /** How often the whole of it was done before. */
  readonly round: number;
  /** 0 is the first side; of one side it is always 0. */
  readonly side: 0 | 1;
  /** The time on that side, from 1. */
  readonly time: number;
  readonly of: 'move' | 'hold';
  /** Whole seconds still to come of it, at least 1. */
  readonly left: number;
  /** How far out: rises while it is moved, stays while it is held; back at 0 for the next time. */
  readonly level: number;
}

/**
 * Where a movement is so many seconds after it began: one side as often as it is wanted, then the other
 * (docs/model.md, section 3); undefined before it and when it is over.
 * @param rounds how often the whole of it is done
 */
export function moveMoment(
  move: Omit<Movement, 'text'>,
  since: Seconds,
  rounds = 1,
): MoveMoment | undefined {
  const { sides, times, seconds, held } = move;
  const once = seconds + held;
  if (since < 0 || since >= rounds * movementSeconds(move)) return undefined;
  const all = Math.floor(since / once);
  const done = all % (sides * times);
  const into = since - all * once;
  const isHeld = into >= seconds;
  const level = isHeld || seconds === 0 ? 1 : into / seconds;
  return {
    round: Math.floor(all / (sides * times)),
    side: done >= times ? 1 : 0,
    time: (done % times) + 1,
    of: isHeld ? 'hold' : 'move',
    left: Math.max(1, Math.ceil((isHeld ? once : seconds) - into)),
    level,
  };
}
