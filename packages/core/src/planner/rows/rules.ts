import { greatestRise, type Candidate, type PlannerProblem } from '../problem';
import type { Sheet } from './sheet';

/** What of a problem is only wished: each can be left out when a conflict is looked for. */
export type Wish =
  | 'under'
  | 'strong'
  | `phase:${string}`
  | `least:${string}`
  | `most:${string}`
  | `effort:${string}`
  | `pin:${string}`
  | `excluded:${string}`;

type Without = ReadonlySet<Wish>;

/** The total, and what each phase has to have and may have. */
export function addTotals(sheet: Sheet, problem: PlannerProblem, without: Without): void {
  const { seconds, slack, phases } = problem;
  const least = without.has('under') ? 0 : seconds - slack;
  sheet.row(
    least,
    seconds,
    sheet.weighed((one) => one.seconds),
  );
  for (const { id, required, least: from, most: to, strong } of phases) {
    const isHere = ({ phase }: Candidate) => phase === id;
    if (required && !without.has(`phase:${id}`)) sheet.row(1, Infinity, sheet.each(isHere));
    const lower = without.has(`least:${id}`) ? 0 : from;
    const upper = without.has(`most:${id}`) ? Infinity : to;
    if (lower > 0 || upper < seconds) {
      sheet.row(
        lower,
        upper,
        sheet.weighed((one) => (isHere(one) ? one.seconds : 0)),
      );
    }
    if (!without.has(`effort:${id}`)) {
      const strongHere = sheet.each((one) => isHere(one) && one.strong);
      if (strongHere.length > strong) sheet.row(-Infinity, strong, strongHere);
    }
  }
}

/** An exercise stands once at most. */
export function addOnce(sheet: Sheet): void {
  const groups = sheet.grouped(
    () => true,
    ({ exercise }) => exercise,
  );
  for (const { entries } of groups) if (entries.length > 1) sheet.row(-Infinity, 1, entries);
}

/** What is pinned is there; what is pinned and cannot be there makes the whole impossible. */
export function addPinned(sheet: Sheet, { pinned }: PlannerProblem, without: Without): void {
  const ids = new Set(sheet.usable.map(({ id }) => id));
  for (const id of pinned) {
    if (!without.has(`pin:${id}`) && !ids.has(id)) sheet.row(1, Infinity, []);
  }
}

/** Strong ones of a phase only with a segment of each phase that has to lead up to them. */
export function addStrong(sheet: Sheet, { strongAfter, phases }: PlannerProblem): void {
  const known = strongAfter.filter((id) => phases.some((phase) => phase.id === id));
  // Of an exercise one way is chosen at most, so its ways can share a row.
  const strong = sheet.grouped(
    (one) => one.strong,
    ({ exercise, phase }) => `${phase} ${exercise}`,
  );
  for (const before of known) {
    const leading = sheet.each(({ phase }) => phase === before);
    for (const { entries } of strong) sheet.atMost(entries, leading);
  }
}

/**
 * No segment rises by more than a fourth above what was reached: for each height that has to have been
 * reached, whether it was, flows from phase to phase.
 */
export function addRise(
  sheet: Sheet,
  problem: PlannerProblem,
  places: ReadonlyMap<string, number>,
): void {
  const { reached, phases } = problem;
  if (reached === null) return;
  const isHigh = ({ top }: Candidate) => top !== null && top > reached + greatestRise;
  const placeOf = ({ phase }: Candidate) => places.get(phase)!;
  const known = new Map<string, number | undefined>();
  /** Whether any of the phases up to a place reached a height; undefined where none of them can. */
  const reachedBy = (place: number, height: number): number | undefined => {
    if (place < 0) return undefined;
    const key = `${place} ${height}`;
    if (known.has(key)) return known.get(key);
    const before = reachedBy(place - 1, height);
    const is = (one: Candidate) => one.top !== null && one.top >= height;
    const here = sheet.each((one) => one.phase === phases[place]!.id && is(one));
    let column = before;
    if (here.length > 0) {
      column = sheet.follow({ cost: 0, upper: 1, integer: false }, (chosen) =>
        chosen.some((one) => is(one) && placeOf(one) <= place) ? 1 : 0,
      );
      sheet.atMost(
        [[column, 1]],
        [...here, ...(before === undefined ? [] : ([[before, 1]] as const))],
      );
    }
    known.set(key, column);
    return column;
  };
  const high = sheet.grouped(isHigh, ({ exercise, phase, top }) => `${phase} ${exercise} ${top}`);
  for (const { first, entries } of high) {
    const top = first.top!;
    const height = top - greatestRise;
    const before = reachedBy(placeOf(first) - 1, height);
    const beside = sheet.each(
      (one) => one.phase === first.phase && one.top !== null && one.top >= height && one.top < top,
    );
    sheet.atMost(entries, [...beside, ...(before === undefined ? [] : ([[before, 1]] as const))]);
  }
}
