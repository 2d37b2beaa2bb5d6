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

/** How many counts longer, or shorter, each round that is still to begin goes out. */
export interface BreathLonger {
  readonly counts: Beats;
}

/** Rounds made longer at a moment, in seconds after the first breath began. */
export interface BreathChange extends BreathLonger {
  readonly at: Seconds;
}

const order = ['in', 'hold', 'out', 'rest'] as const;

/** Whoever touches «on» a second before its end has breathed it. */
const nearly: Seconds = 1;

/** How full at a share of each stretch. */
const levelAt: Readonly<Record<keyof BreathCounts, (share: number) => number>> = {
  in: (share) => share,
  hold: () => 1,
  out: (share) => 1 - share,
  rest: () => 0,
};

/** The counts of a round that begins at a moment: longer by what was said before it, never less than one count out. */
function changedRound(
  counts: BreathCounts,
  begins: Seconds,
  changes: readonly BreathChange[],
  least: Beats,
): BreathCounts {
  const more = changes.reduce((sum, { at, counts: by }) => sum + (at <= begins ? by : 0), 0);
  return more === 0 ? counts : { ...counts, out: Math.max(least, counts.out + more) };
}

const beatsOfRound = (counts: BreathCounts): Beats =>
  order.reduce((sum, of) => sum + counts[of], 0);

/** The counts of every round as they were changed while it went on (docs/model.md, section 12). */
export function changedRounds(
  timing: BreathTiming,
  changes: readonly BreathChange[],
): BreathCounts[] {
  const least = Math.max(1, timing.least?.out ?? 0);
  let begins = 0;
  return breathRounds(timing).map((counts) => {
    const changed = changedRound(counts, begins, changes, least);
    begins += beatsToSeconds(beatsOfRound(changed), timing.tempo);
    return changed;
  });
}

/** By how many seconds the whole becomes longer by one more change; below 0 where it becomes shorter. */
export function breathLengthened(
  timing: BreathTiming,
  changes: readonly BreathChange[],
  more: BreathChange,
): Seconds {
  const beats = (all: readonly BreathChange[]) =>
    changedRounds(timing, all).reduce((sum, round) => sum + beatsOfRound(round), 0);
  return beatsToSeconds(beats([...changes, more]) - beats(changes), timing.tempo);
}

/**
 * Where counted breathing is so many seconds after its first breath in (docs/model.md, section 3); undefined
 * before it and when all rounds are over.
 * @param changes what was made longer or shorter while it went on
 */
export function breathMoment(
  timing: BreathTiming,
  seconds: Seconds,
  changes: readonly BreathChange[] = [],
): BreathMoment | undefined {
  if (seconds < 0) return undefined;
  let left = seconds;
  for (const [round, counts] of changedRounds(timing, changes).entries()) {
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

/**
 * The longest stretch out on one breath, of the rounds that were breathed to their end (docs/model.md, section 13).
 * @param seconds how long it went on, without talk
 */
export function longestOut(
  timing: BreathTiming,
  seconds: Seconds,
  changes: readonly BreathChange[] = [],
): Seconds {
  let left = seconds;
  let longest = 0;
  for (const counts of changedRounds(timing, changes)) {
    const untilEmpty = beatsToSeconds(counts.in + counts.hold + counts.out, timing.tempo);
    if (left + nearly < untilEmpty) break;
    longest = Math.max(longest, beatsToSeconds(counts.out, timing.tempo));
    left -= untilEmpty + beatsToSeconds(counts.rest, timing.tempo);
  }
  return longest;
}
