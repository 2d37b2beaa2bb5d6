import {
  pointsOf,
  reachesStep,
  secondsOnSkills,
  skillPoints,
  stepsOf,
  type NeedStep,
} from './points';
import type { Candidate, PlannerProblem } from './problem';

/** What one segment brings to a plan in whose order it comes: its points, by where they come from. */
export interface Share {
  readonly candidate: Candidate;
  /** Points on each wished skill that were not there before it. */
  readonly skills: Readonly<Record<string, number>>;
  /** Notes of the needs that nobody had reached before it: a point each. */
  readonly steps: readonly NeedStep[];
  /** Its own points. */
  readonly own: number;
  readonly points: number;
}

/**
 * Shares the points of a plan out to its segments, in the order in which they are sung: what was worked on
 * first counts first. The shares add up to the points of the plan.
 */
export function sharesOf(
  problem: Pick<PlannerProblem, 'wishes' | 'needs'>,
  selection: readonly Candidate[],
): readonly Share[] {
  const led: Record<string, number> = {};
  const open = new Set(stepsOf(problem));
  return selection.map((one): Share => {
    const skills: Record<string, number> = {};
    for (const [skill, weight] of Object.entries(problem.wishes)) {
      const before = led[skill] ?? 0;
      const after = before + (one.serves[skill] ?? 0);
      led[skill] = after;
      const won = skillPoints(after, weight) - skillPoints(before, weight);
      if (won > 0) skills[skill] = won;
    }
    const steps = [...open].filter((step) => reachesStep(one, step));
    for (const step of steps) open.delete(step);
    const won = Object.values(skills).reduce((sum, points) => sum + points, 0);
    return {
      candidate: one,
      ...{ skills, steps, own: one.points },
      points: won + steps.length + one.points,
    };
  });
}

/** How far a plan serves what is wished and needed. */
export interface Served {
  /** Led seconds on each wished skill. */
  readonly seconds: Readonly<Record<string, number>>;
  /** Notes of the needs that nobody reaches. */
  readonly open: readonly NeedStep[];
  /** The highest and lowest note each part comes to. */
  readonly reached: Readonly<Record<string, { readonly high?: number; readonly low?: number }>>;
  readonly points: number;
}

/** What a selection of segments serves. */
export function servedBy(
  problem: Pick<PlannerProblem, 'wishes' | 'needs'>,
  selection: readonly Candidate[],
): Served {
  const reached: Record<string, { high?: number; low?: number }> = {};
  for (const { high, low } of selection) {
    for (const [part, note] of Object.entries(high ?? {})) {
      const so = (reached[part] ??= {});
      so.high = Math.max(so.high ?? note, note);
    }
    for (const [part, note] of Object.entries(low ?? {})) {
      const so = (reached[part] ??= {});
      so.low = Math.min(so.low ?? note, note);
    }
  }
  return {
    seconds: secondsOnSkills(problem, selection),
    open: stepsOf(problem).filter((step) => !selection.some((one) => reachesStep(one, step))),
    reached,
    points: pointsOf(problem, selection).points,
  };
}
