import type { Solver } from './mip';
import { usableOf, programmeOf } from './programme';
import type { PlannerProblem } from './problem';
import type { Wish } from './rules';

/** Everything that is wished of a plan and could be given up, by name. */
function wishesOf(problem: PlannerProblem): readonly Wish[] {
  const { phases, pinned, excluded, included = [], strongAfter } = problem;
  const exclusions = [...new Set(excluded)].map((exercise): Wish => `excluded:${exercise}`);
  // One that is excluded may be strong too, and be let in.
  const strong = usableOf(problem, new Set(['strong', ...exclusions])).some((one) => one.strong);
  return [
    ...phases.flatMap(({ id, required, least, most }): Wish[] => [
      ...(most < problem.seconds ? [`most:${id}` as const] : []),
      ...(least > 0 ? [`least:${id}` as const] : []),
      ...(required ? [`phase:${id}` as const] : []),
      `effort:${id}`,
    ]),
    ...(strong && strongAfter.length > 0 ? (['strong'] as const) : []),
    ...exclusions,
    ...[...new Set(included)].map((exercise): Wish => `included:${exercise}`),
    ...[...new Set(pinned)].map((id): Wish => `pin:${id}`),
    'under',
  ];
}

/** How long it may take to find out whether a set of wishes can be met, in seconds. */
const longest = 10;

/**
 * A smallest set of wishes that cannot be met together: without any one of them the others can. Found by
 * leaving out one after another (docs/model.md, section 10).
 * @throws RangeError where the problem has a plan, or it is impossible whatever is given up
 */
export async function conflictOf(
  problem: PlannerProblem,
  solver: Solver,
): Promise<readonly Wish[]> {
  const isImpossible = async (without: ReadonlySet<Wish>): Promise<boolean> => {
    const { mip } = programmeOf(problem, { without, anyWillDo: true });
    const solved = await solver.solve(mip, { timeLimit: longest, gap: 0 });
    return solved.kind === 'impossible';
  };
  const all = wishesOf(problem);
  const without = new Set<Wish>();
  if (!(await isImpossible(without))) throw new RangeError('These wishes can be met together.');
  for (const wish of all) {
    without.add(wish);
    if (!(await isImpossible(without))) without.delete(wish);
  }
  return all.filter((wish) => !without.has(wish));
}
