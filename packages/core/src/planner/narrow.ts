import type { Relaxed } from './mip';
import type { Candidate, PlannerProblem } from './problem';
import type { Programme } from './programme';

/** How far rounding can carry the figures of a relaxation, in points. */
export const roundingError = 1e-3;
const none = 1e-7;

/**
 * How many points a plan with each candidate lies below the relaxation's bound at least, by candidate; 0 for
 * those that stand in the relaxation's own answer.
 */
export function fallsOf(
  { usable, chosen }: Programme,
  { columns, perUnit }: Extract<Relaxed, { kind: 'relaxed' }>,
): ReadonlyMap<Candidate, number> {
  return new Map(
    usable.map((one, i) => {
      const column = chosen[i]!;
      return [one, columns[column]! > none ? 0 : Math.max(0, -perUnit[column]!)];
    }),
  );
}

/**
 * The problem with those candidates only that could be in a plan that is better than one that is known, and
 * those of that one: whatever is better than it is among them.
 * @param bound what the relaxation says no plan exceeds
 * @param most so many of the others at most, those first that cost the bound least; then what is better can be missed
 */
export function narrowed(
  problem: PlannerProblem,
  falls: ReadonlyMap<Candidate, number>,
  { bound, points, best }: { bound: number; points: number; best: readonly Candidate[] },
  most = Infinity,
): PlannerProblem {
  const kept = new Set(best);
  const pinned = new Set(problem.pinned);
  for (const one of falls.keys()) if (pinned.has(one.id)) kept.add(one);
  // Points are whole: what is better is better by one.
  const room = bound - (points + 1) + roundingError;
  const others = [...falls]
    .filter(([one, fall]) => !kept.has(one) && fall <= room)
    .sort(([, a], [, b]) => a - b)
    .slice(0, most);
  for (const [one] of others) kept.add(one);
  return { ...problem, candidates: problem.candidates.filter((one) => kept.has(one)) };
}
