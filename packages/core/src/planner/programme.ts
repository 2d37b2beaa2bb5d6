import type { Mip } from './mip';
import { leadsOf, placesOf, type Candidate, type PlannerProblem } from './problem';
import { addNeeds, addSkills } from './gains';
import { addIncluded, addOnce, addPinned, addRise, addStrong, addTotals, type Wish } from './rules';
import { Sheet } from './sheet';

/** How a programme is made of a problem. */
export interface Making {
  /** What is left out. */
  readonly without?: ReadonlySet<Wish> | undefined;
  /** Plans that this one has to differ from, as the exercises they are made of. */
  readonly earlier?: readonly ReadonlySet<string>[] | undefined;
  /** Whether any plan will do. */
  readonly anyWillDo?: boolean | undefined;
}

/** A problem as a mixed-integer programme, and the way between its columns and candidates. */
export interface Programme {
  readonly mip: Mip;
  /** What can be chosen, and the column of each. */
  readonly usable: readonly Candidate[];
  readonly chosen: readonly number[];
  /** The candidates chosen by a solution. */
  readonly read: (columns: ArrayLike<number>) => readonly Candidate[];
  /** A selection as a solution to begin from. */
  readonly write: (selection: readonly Candidate[]) => number[];
}

/** The share of its time that a further plan spends on exercises of an earlier one at most. */
const sharedAtMost = 0.5;

/** Whether a strong candidate's phase lies behind all that have to lead up to it. */
const isBehind = (
  { phase }: Candidate,
  leads: readonly (readonly number[])[],
  places: ReadonlyMap<string, number>,
): boolean => leads.every((lead) => lead.some((place) => place < places.get(phase)!));

/** The candidates that can be in a plan at all. */
export function usableOf(
  problem: PlannerProblem,
  without: ReadonlySet<Wish> = new Set(),
): readonly Candidate[] {
  const places = placesOf(problem);
  const leads = leadsOf(problem, places);
  const excluded = new Set(
    problem.excluded.filter((exercise) => !without.has(`excluded:${exercise}`)),
  );
  return problem.candidates.filter(
    (one) =>
      places.has(one.phase) &&
      !excluded.has(one.exercise) &&
      one.seconds <= problem.seconds &&
      (!one.strong || without.has('strong') || isBehind(one, leads, places)),
  );
}

/**
 * A problem's programme (docs/model.md, section 10): a column for each candidate; for each skill two whole
 * numbers of units; a step of a need for whatever reaches it; and what was reached before each phase.
 */
export function programmeOf(problem: PlannerProblem, making: Making = {}): Programme {
  const { without = new Set(), earlier = [], anyWillDo = false } = making;
  const pinned = new Set(problem.pinned.filter((id) => !without.has(`pin:${id}`)));
  const included = new Set(problem.included);
  const sheet = new Sheet(usableOf(problem, without), ({ id, points }) => ({
    cost: anyWillDo ? 0 : points,
    lower: pinned.has(id) ? 1 : 0,
  }));
  const places = placesOf(problem);
  addTotals(sheet, problem, without);
  addOnce(sheet);
  addPinned(sheet, problem, without);
  addIncluded(sheet, problem, without);
  if (!without.has('strong')) addStrong(sheet, problem, places);
  addRise(sheet, problem, places);
  for (const exercises of earlier) {
    const same = sheet.weighed((one) =>
      exercises.has(one.exercise) && !pinned.has(one.id) && !included.has(one.exercise)
        ? one.seconds
        : 0,
    );
    sheet.row(-Infinity, problem.seconds * sharedAtMost, same);
  }
  if (!anyWillDo) {
    addSkills(sheet, problem);
    addNeeds(sheet, problem);
  }
  const { columns, rows, usable, chosen, derived } = sheet;
  return {
    mip: { columns, rows },
    ...{ usable, chosen },
    read: (values) => usable.filter((_, i) => (values[chosen[i]!] ?? 0) > 0.5),
    write: (selection) => {
      const ids = new Set(selection.map(({ id }) => id));
      const values = columns.map(() => 0);
      usable.forEach(({ id }, i) => {
        if (ids.has(id)) values[chosen[i]!] = 1;
      });
      for (const { column, of } of derived) values[column] = of(selection);
      return values;
    },
  };
}
