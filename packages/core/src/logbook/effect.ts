import type { Purpose } from '../exercise/vocabulary';
import type { Seconds } from '../units';

/** A skill of a piece as it was judged on a day. */
export interface JudgedSkill {
  readonly piece: string;
  readonly skill: Purpose;
  readonly day: string;
  readonly score: number;
}

/** Time led on some skills on a day. */
export interface LedSkills {
  readonly day: string;
  readonly purposes: readonly Purpose[];
  readonly seconds: Seconds;
}

/** From one judgement to the next of the same skill of the same piece. */
export interface JudgedPair {
  readonly piece: string;
  readonly from: string;
  readonly to: string;
  readonly change: number;
  /** Led on that skill after the first and up to the second. */
  readonly seconds: Seconds;
}

/** How often something was better after it, and between what that rate lies with 80 in 100. */
export interface Rate {
  readonly better: number;
  readonly of: number;
  readonly low: number;
  readonly high: number;
}

/** Whether leading a skill helped it (docs/model.md, section 13). */
export interface Effect {
  readonly pairs: readonly JudgedPair[];
  /** After it was led, and where it was not; undefined while there are too few to say. */
  readonly rates: { readonly led: Rate; readonly without: Rate } | undefined;
}

/** Below so many pairs nothing is said. */
export const leastPairs = 6;
const tail = 0.1;

/** The chance of at least so many of so many. */
function atLeast(least: number, of: number, share: number): number {
  let sum = 0;
  let chosen = 1;
  for (let k = 0; k <= of; k += 1) {
    if (k >= least) sum += chosen * share ** k * (1 - share) ** (of - k);
    chosen = (chosen * (of - k)) / (k + 1);
  }
  return sum;
}

/** Where a rising function of 0 to 1 reaches a value. */
function reaches(value: number, rises: (share: number) => number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 50; i += 1) {
    const middle = (low + high) / 2;
    if (rises(middle) < value) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * How often something happened, with the middle 80 in 100 of what that leaves possible, everything having
 * been as likely before: Beta(better + 1, of - better + 1), whose distribution is a binomial tail.
 */
export function rateOf(better: number, of: number): Rate {
  const below = (share: number) => atLeast(better + 1, of + 1, share);
  return { better, of, low: reaches(tail, below), high: reaches(1 - tail, below) };
}

/** Whether a skill was judged better after it was led than where it was not, over all pieces. */
export function effectOf(
  skill: Purpose,
  judged: readonly JudgedSkill[],
  led: readonly LedSkills[],
): Effect {
  const own = judged
    .filter((one) => one.skill === skill)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
  const last = new Map<string, JudgedSkill>();
  const pairs: JudgedPair[] = [];
  for (const one of own) {
    const before = last.get(one.piece);
    last.set(one.piece, one);
    if (!before) continue;
    const seconds = led
      .filter(({ day, purposes }) => {
        const isBetween = day > before.day || (day === before.day && before.day === one.day);
        return isBetween && day <= one.day && purposes.includes(skill);
      })
      .reduce((sum, { seconds: more }) => sum + more, 0);
    const { piece, day, score } = one;
    pairs.push({ piece, from: before.day, to: day, change: score - before.score, seconds });
  }
  if (pairs.length < leastPairs) return { pairs, rates: undefined };
  const rate = (some: readonly JudgedPair[]) =>
    rateOf(some.filter(({ change }) => change > 0).length, some.length);
  return {
    pairs,
    rates: {
      led: rate(pairs.filter(({ seconds }) => seconds > 0)),
      without: rate(pairs.filter(({ seconds }) => seconds === 0)),
    },
  };
}
