import { purposes, type Purpose } from '../exercise/vocabulary';
import type { Judged } from './judging';

/** What one of several judges says of a run, on a card of their own. */
export interface JudgesCard extends Pick<Judged, 'scores' | 'target'> {
  /** Who judged; null where that is not known any more. */
  readonly judge: string | null;
}

/** How near several judges are to each other: one alone, all the same, at most one apart, further apart. */
export type Nearness = 'alone' | 'same' | 'near' | 'apart';

/** What several judges say of one skill. */
export interface Agreement {
  readonly skill: Purpose;
  /** The lowest first; at least one. */
  readonly scores: readonly number[];
  /** The one in the middle; of two in the middle the lower, so that nothing is called better than half say. */
  readonly middle: number;
  readonly nearness: Nearness;
}

/** A skill that needs nothing. */
const bestScore = 5;
/** Further apart than this, two judges heard something different. */
const nearest = 1;

function nearnessOf(scores: readonly number[]): Nearness {
  const spread = scores.at(-1)! - scores[0]!;
  if (scores.length === 1) return 'alone';
  return spread === 0 ? 'same' : spread <= nearest ? 'near' : 'apart';
}

const scoreOn = (skill: Purpose, { scores }: JudgesCard): number | undefined =>
  scores.find((one) => one.skill === skill)?.score;

/** What several judges say of each skill, in the order of the skills; without those that nobody judged. */
export function agreements(
  cards: readonly JudgesCard[],
  skills: readonly Purpose[],
): readonly Agreement[] {
  return skills.flatMap((skill) => {
    const scores = cards.flatMap((card) => scoreOn(skill, card) ?? []).sort((a, b) => a - b);
    if (scores.length === 0) return [];
    const middle = scores[Math.floor((scores.length - 1) / 2)]!;
    return [{ skill, scores, middle, nearness: nearnessOf(scores) }];
  });
}

/** Of all pairs of judges on a skill, over all skills: how many there are, and how many lie at most one apart. */
export function nearPairs(all: readonly Agreement[]): {
  readonly pairs: number;
  readonly near: number;
} {
  let [pairs, near] = [0, 0];
  for (const { scores } of all) {
    for (const [i, one] of scores.entries()) {
      for (const other of scores.slice(i + 1)) {
        pairs += 1;
        if (other - one <= nearest) near += 1;
      }
    }
  }
  return { pairs, near };
}

/**
 * The next target that most judges name. Of several named as often: the one judged lower, then the one
 * that comes first among the skills. Undefined where nobody names one.
 */
export function sharedTarget(
  cards: readonly JudgesCard[],
): { readonly skill: Purpose; readonly named: number; readonly of: number } | undefined {
  const named = purposes
    .map((skill) => ({ skill, named: cards.filter(({ target }) => target === skill).length }))
    .filter((one) => one.named > 0);
  const middle = new Map(agreements(cards, purposes).map((one) => [one.skill, one.middle]));
  // One that nobody judged comes after all that somebody did.
  const low = (skill: Purpose) => middle.get(skill) ?? bestScore + 1;
  const [first] = named.sort((a, b) => b.named - a.named || low(a.skill) - low(b.skill));
  return first && { ...first, of: cards.length };
}

/** A skill as it was judged in two runs, one after the other. */
export interface JudgedTwice {
  readonly skill: Purpose;
  /** The middle of what was said, then and afterwards. */
  readonly from: number;
  readonly to: number;
  /** Of those who judged it both times: to so many it was better, the same, worse. */
  readonly better: number;
  readonly same: number;
  readonly worse: number;
}

/** What judges say of a second run beside what was said of the first, for each skill judged in both. */
export function judgedTwice(
  first: readonly JudgesCard[],
  second: readonly JudgesCard[],
  skills: readonly Purpose[],
): readonly JudgedTwice[] {
  const before = new Map(agreements(first, skills).map((one) => [one.skill, one.middle]));
  return agreements(second, skills).flatMap(({ skill, middle }) => {
    const from = before.get(skill);
    if (from === undefined) return [];
    const changes = second.flatMap((card) => {
      const then = first.find(({ judge }) => judge !== null && judge === card.judge);
      const [a, b] = [then && scoreOn(skill, then), scoreOn(skill, card)];
      return a === undefined || b === undefined ? [] : [Math.sign(b - a)];
    });
    const count = (sign: number) => changes.filter((one) => one === sign).length;
    return [{ skill, from, to: middle, better: count(1), same: count(0), worse: count(-1) }];
  });
}
