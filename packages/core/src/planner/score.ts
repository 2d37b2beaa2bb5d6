import { breachesOf } from './breaches';
import { pointsOf } from './points';
import { candidatesById, type PlannerProblem, type PointParts } from './problem';

/** What a selection is worth, and what it breaks. */
export interface PlanScore {
  readonly points: number;
  readonly parts: PointParts;
  readonly violations: readonly string[];
}

/**
 * The points of a selection of candidates and the rules it breaks (docs/model.md, section 10).
 * @throws RangeError for an id that is no candidate
 */
export function scoreOf(problem: PlannerProblem, selection: readonly string[]): PlanScore {
  const byId = candidatesById(problem);
  const chosen = [...new Set(selection)].map((id) => {
    const one = byId.get(id);
    if (!one) throw new RangeError(`${id} is no candidate.`);
    return one;
  });
  return { ...pointsOf(problem, chosen), violations: breachesOf(problem, chosen) };
}
