import { placesOf, type Candidate, type PlannerProblem } from './problem';

/** Below every note. */
const unpitched = -1;

/**
 * The order in which a selection is sung: the phases in the approach's order; within one by top note, what
 * has no pitch first, of equal ones the strong ones last, then by id (docs/model.md, section 10).
 */
export function inOrder(
  problem: PlannerProblem,
  selection: readonly Candidate[],
): readonly Candidate[] {
  const places = placesOf(problem);
  const last = problem.phases.length;
  const place = ({ phase }: Candidate) => places.get(phase) ?? last;
  return [...selection].sort(
    (a, b) =>
      place(a) - place(b) ||
      (a.top ?? unpitched) - (b.top ?? unpitched) ||
      Number(a.strong) - Number(b.strong) ||
      (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );
}
