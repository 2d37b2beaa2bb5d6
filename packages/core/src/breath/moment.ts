import { beatsToSeconds, type Beats, type Seconds } from '../units';
import { breathRounds, type BreathCounts, type BreathTiming } from '../timing';

/** Where counted breathing is at a moment. */
export interface BreathMoment {
  /** Counted from 0. */
  readonly round: number;
  readonly of: keyof BreathCounts;
  /** The count that is said now, from 1. */
  readonly count: number;
  readonly counts: Beats;
  /** How full: 0 is empty, 1 is full. */
  readonly level: number;
}

const order = ['in', 'hold', 'out', 'rest'] as const;

/** How full at a share of each stretch. */
const levelAt: Readonly<Record<keyof BreathCounts, (share: number) => number>> = {
  in: (share) => share,
  hold: () => 1,
  out: (share) => 1 - share,
  rest: () => 0,
};

/**
 * Where counted breathing is so many seconds after its first breath in (docs/model.md, section 3); undefined
 * before it and when all rounds are over.
 */
export function breathMoment(timing: BreathTiming, seconds: Seconds): BreathMoment | undefined {
  if (seconds < 0) return undefined;
  let left = seconds;
  for (const [round, counts] of breathRounds(timing).entries()) {
    for (const of of order) {
      const length = beatsToSeconds(counts[of], timing.tempo);
      if (left < length) {
        const share = left / length;
        const count = Math.floor(share * counts[of]) + 1;
        return { round, of, count, counts: counts[of], level: levelAt[of](share) };
      }
      left -= length;
    }
  }
  return undefined;
}
