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

/** A target that was reached: named on a day, and judged better on another. */
export interface ClosedTarget {
  readonly skill: Purpose;
  readonly from: string;
  readonly to: string;
}

/**
 * The targets of a piece that were reached, in the order they were. One named again while it is open goes on.
 * @param judged in the order of time
 */
export function closedTargets(judged: readonly Judged[]): ClosedTarget[] {
  const closed: ClosedTarget[] = [];
  const open = new Map<Purpose, { readonly from: string; readonly score: number | undefined }>();
  for (const { judgedOn, scores, target } of judged) {
    for (const { skill, score } of scores) {
      const named = open.get(skill);
      if (!named || (named.score !== undefined && score <= named.score)) continue;
      open.delete(skill);
      closed.push({ skill, from: named.from, to: judgedOn });
    }
    if (target === null || open.has(target)) continue;
    open.set(target, {
      from: judgedOn,
      score: scores.find(({ skill }) => skill === target)?.score,
    });
  }
  return closed;
}
