import { breachesOf } from './breaches';
import type { SolveProgress, Solver } from './mip';
import { fallsOf, narrowed, roundingError } from './narrow';
import { pointsOf } from './points';
import type { Candidate, PlannerProblem } from './problem';
import { programmeOf, type Programme } from './programme';

/** What a search is told. */
export interface Search {
  readonly solver: Solver;
  readonly earlier: readonly ReadonlySet<string>[];
  /** The search ends after so many seconds with what it has. */
  readonly timeLimit: number;
}

/** What the search for the best plan is told beside it, and whom it tells. */
interface BestSearch extends Search {
  /** How many candidates are searched first; a good many where it is not said. */
  readonly nearest?: number | undefined;
  readonly onBetter: (selection: readonly Candidate[], bound: number) => void;
  readonly onBound: (bound: number) => void;
}

/** What the search finds: a plan and what none can exceed; that there is none; or nothing in its time. */
export type Found =
  | { readonly kind: 'plan'; readonly selection: readonly Candidate[]; readonly bound: number }
  | { readonly kind: 'impossible' }
  | { readonly kind: 'unknown' };

/** A plan of which no bound is known. */
export const planFound = (selection: readonly Candidate[]): Found => ({
  kind: 'plan',
  selection,
  bound: Infinity,
});

/** Points are whole: what is better is better by one. */
const gap = 0.999;
/** So many candidates that the relaxation likes best are searched first for a better plan, and so thoroughly. */
const usualNearest = 150;
const fewBranches = 200;
/** They are worth searching by themselves where so many more are left. */
const worthIt = 1.5;
/**
 * The share of a search's time that they may take beside it: far more than they need, since what is cut off by
 * the clock is not the same every time.
 */
const shareOfTime = 0.5;

/**
 * The best plan, proven: what the relaxed programme rules out beside the plan that is known is dropped, a
 * better plan is looked for among the candidates it likes best, and the rest is searched to the end.
 * @param first a plan that keeps the rules, where one is known: the better it is, the less is left to search
 */
export async function provenBest(
  problem: PlannerProblem,
  first: readonly Candidate[] | undefined,
  search: BestSearch,
): Promise<Found> {
  const { solver, earlier, timeLimit, nearest = usualNearest } = search;
  const whole = programmeOf(problem, { earlier });
  if (!first) return searched(problem, whole, undefined, search, { timeLimit });
  const relaxed = await solver.relax(whole.mip);
  if (relaxed.kind !== 'relaxed') return searched(problem, whole, first, search, { timeLimit });
  const { bound } = relaxed;
  search.onBound(bound);
  const falls = fallsOf(whole, relaxed);
  let best = first;
  const left = (most?: number) =>
    narrowed(problem, falls, { bound, points: pointsOf(problem, best).points, best }, most);
  const isBest = () => pointsOf(problem, best).points + 1 > bound + roundingError;
  const proven = (): Found => ({
    ...{ kind: 'plan', selection: best, bound: pointsOf(problem, best).points },
  });
  if (isBest()) return proven();
  let rest = left();
  if (rest.candidates.length > worthIt * nearest) {
    const few = left(nearest);
    const found = await searched(few, programmeOf(few, { earlier }), best, search, {
      timeLimit: timeLimit * shareOfTime,
      mostBranches: fewBranches,
    });
    if (found.kind === 'plan') best = found.selection;
    if (isBest()) return proven();
    rest = left();
  }
  return searched(rest, programmeOf(rest, { earlier }), best, search, { timeLimit });
}

/** Any plan that keeps the rules, whatever it is worth. */
export async function anyPlan(
  problem: PlannerProblem,
  { solver, earlier, timeLimit }: Search,
): Promise<Found> {
  const { mip, read } = programmeOf(problem, { earlier, anyWillDo: true });
  const solved = await solver.solve(mip, { timeLimit, gap: 0 });
  if (solved.kind !== 'solution') return solved;
  return planFound(read(solved.columns));
}

/** What the solver finds, and everything better that it meets on its way. */
async function searched(
  problem: PlannerProblem,
  programme: Programme,
  start: readonly Candidate[] | undefined,
  { solver, onBetter, onBound }: BestSearch,
  limits: { readonly timeLimit: number; readonly mostBranches?: number },
): Promise<Found> {
  let most = start ? pointsOf(problem, start).points : -Infinity;
  const isWhole = limits.mostBranches === undefined;
  const onProgress = ({ bound, columns }: SolveProgress) => {
    const known = isWhole ? bound : Infinity;
    if (columns) {
      const found = programme.read(columns);
      const { points } = pointsOf(problem, found);
      if (points > most && breachesOf(problem, found).length === 0) {
        most = points;
        onBetter(found, known);
      }
    }
    if (Number.isFinite(known)) onBound(known);
  };
  const solved = await solver.solve(programme.mip, {
    start: start && programme.write(start),
    ...{ ...limits, gap, onProgress },
  });
  if (solved.kind !== 'solution') return solved;
  return { kind: 'plan', selection: programme.read(solved.columns), bound: solved.bound };
}
