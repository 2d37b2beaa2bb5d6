import type { Purpose } from '../exercise/vocabulary';

/** A run of a piece as somebody judged it: each chosen skill from 1 to 5, and what is next. */
export interface Judged {
  /** The day: «2026-12-01». */
  readonly judgedOn: string;
  readonly scores: readonly { readonly skill: Purpose; readonly score: number }[];
  /** The skill that would help most. */
  readonly target: Purpose | null;
}

/** A target that is still open: the skill, since when, and how it was judged then and last. */
export interface OpenTarget {
  readonly skill: Purpose;
  readonly since: string;
  /** Undefined when the skill was not judged when it was named. */
  readonly score: number | undefined;
  /** How it was judged last. */
  readonly last: number | undefined;
}

/** The weight of a target among wishes: the greatest (docs/model.md, section 10). */
export const targetWeight = 3;

/**
 * The target that a piece's judgements leave open: the last one named, until the skill is judged
 * better than it was then. A target whose skill was not judged with it is open until it is judged.
 * @param judged in the order of time
 */
export function openTarget(judged: readonly Judged[]): OpenTarget | undefined {
  const at = judged.findLastIndex(({ target }) => target !== null);
  const named = judged[at];
  if (!named?.target) return undefined;
  const skill = named.target;
  const scoreIn = ({ scores }: Judged) => scores.find((one) => one.skill === skill)?.score;
  const score = scoreIn(named);
  const later = judged.slice(at + 1).flatMap((one) => scoreIn(one) ?? []);
  if (later.some((one) => score === undefined || one > score)) return undefined;
  return { skill, since: named.judgedOn, score, last: later.at(-1) ?? score };
}
