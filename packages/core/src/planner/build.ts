import { conflictOf } from './conflict';
import { cooled } from './cooling';
import { greedy } from './greedy';
import type { Solver } from './mip';
import { inOrder } from './order';
import { ceilingOf, pointsOf } from './points';
import type { BuiltPlan, Candidate, PlannerProblem } from './problem';
import { anyPlan, planFound, provenBest, type Found, type Search } from './proof';
import type { Wish } from './rules';

/** What is told while plans are built. */
export type BuildNews =
  /** A plan as good as it is known so far; the first one within a moment. */
  | { readonly kind: 'plan'; readonly number: number; readonly plan: BuiltPlan }
  /** How many points could still be won at most. */
  | { readonly kind: 'bound'; readonly number: number; readonly bound: number };

/** How plans are built. */
export interface Building {
  readonly solver: Solver;
  /** The search for one plan ends after so many seconds with what it has. */
  readonly timeLimit?: number | undefined;
  /** And the search for a further one; the same where it is not said. */
  readonly furtherLimit?: number | undefined;
  readonly onNews?: ((news: BuildNews) => void) | undefined;
}

/** What building answers: plans, the best first; or a smallest set of wishes that cannot be met together. */
export type Built =
  | { readonly kind: 'plans'; readonly plans: readonly BuiltPlan[] }
  | { readonly kind: 'conflict'; readonly conflict: readonly Wish[] }
  /** The time ended before it was known whether there is one. */
  | { readonly kind: 'unknown' };

/** A search ends after so many seconds where nothing else is said. */
export const usualTimeLimit = 10;
/** And so many where nothing was found at once, so that there is something to show. */
const fewSteps = 12_000;
/** So many changes are tried for each candidate before the search for the best begins. */
const stepsEach = 150;

/** A selection as a plan, with the most that any could have. */
function planOf(
  problem: PlannerProblem,
  selection: readonly Candidate[],
  bound: number,
): BuiltPlan {
  const { points, parts } = pointsOf(problem, selection);
  return {
    selection: inOrder(problem, selection).map(({ id }) => id),
    points,
    parts,
    // A search that was cut off may know no bound of its own.
    bound: Math.max(points, Math.floor(Math.min(bound, ceilingOf(problem)) + 1e-6)),
  };
}

/**
 * The best plan of a problem, and up to so many others that are really different (docs/model.md, section
 * 10): a greedy one at once, then the proven best.
 */
export async function build(
  problem: PlannerProblem,
  {
    solver,
    timeLimit = usualTimeLimit,
    furtherLimit = timeLimit,
    onNews = () => undefined,
  }: Building,
): Promise<Built> {
  const plans: BuiltPlan[] = [];
  const earlier: ReadonlySet<string>[] = [];
  const exerciseOf = new Map(problem.candidates.map(({ id, exercise }) => [id, exercise]));
  while (plans.length <= problem.alternatives) {
    const number = plans.length;
    const tell = (found: readonly Candidate[]) => {
      onNews({ kind: 'plan', number, plan: planOf(problem, found, Infinity) });
    };
    const search = { solver, earlier, timeLimit: number === 0 ? timeLimit : furtherLimit };
    const start = await startOf(problem, search, tell);
    const first = start.kind === 'plan' ? start.selection : undefined;
    const solved =
      start.kind === 'impossible'
        ? start
        : await provenBest(problem, first, {
            ...search,
            onBetter: (found, bound) =>
              onNews({ kind: 'plan', number, plan: planOf(problem, found, bound) }),
            onBound: (bound) => onNews({ kind: 'bound', number, bound: Math.floor(bound + 1e-6) }),
          });
    if (solved.kind !== 'plan') {
      if (number > 0) break;
      if (solved.kind === 'unknown') return first ? greedyOnly(problem, first) : solved;
      return { kind: 'conflict', conflict: await conflictOf(problem, solver) };
    }
    const plan = planOf(problem, solved.selection, solved.bound);
    plans.push(plan);
    onNews({ kind: 'plan', number, plan });
    earlier.push(new Set(plan.selection.map((id) => exerciseOf.get(id)!)));
  }
  return { kind: 'plans', plans };
}

/**
 * Where the search for the best begins: at a greedy plan, else at any that the solver finds, made better by
 * small changes.
 */
async function startOf(
  problem: PlannerProblem,
  search: Search,
  tell: (selection: readonly Candidate[]) => void,
): Promise<Found> {
  const { earlier } = search;
  const quick = greedy(problem, earlier) ?? cooled(problem, undefined, fewSteps, earlier);
  if (quick) tell(quick);
  const known = quick ? planFound(quick) : await anyPlan(problem, search);
  if (known.kind !== 'plan') return known;
  const steps = stepsEach * problem.candidates.length;
  const better = cooled(problem, known.selection, steps, earlier) ?? known.selection;
  tell(better);
  return planFound(better);
}

const greedyOnly = (problem: PlannerProblem, first: readonly Candidate[]): Built => ({
  kind: 'plans',
  plans: [planOf(problem, first, Infinity)],
});
