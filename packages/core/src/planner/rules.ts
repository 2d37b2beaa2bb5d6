import { greatestRise, leadsOf, type Candidate, type PlannerProblem } from './problem';
import type { Entries, Sheet } from './sheet';

/** What of a problem is only wished: each can be left out when a conflict is looked for. */
export type Wish =
  | 'under'
  | 'strong'
  | `phase:${string}`
  | `least:${string}`
  | `most:${string}`
  | `effort:${string}`
  | `pin:${string}`
  | `excluded:${string}`
  | `included:${string}`;

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
  // How many there are in all and in each phase are whole numbers: the solver branches on them.
  sheet.sum(() => true, true);
  for (const { id, required, least: from, most: to, strong } of phases) {
    const isHere = ({ phase }: Candidate) => phase === id;
    sheet.sum(isHere, true);
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

/** What is asked for by name is there in one of its ways. */
export function addIncluded(
  sheet: Sheet,
  { included = [] }: PlannerProblem,
  without: Without,
): void {
  for (const exercise of included) {
    if (without.has(`included:${exercise}`)) continue;
    sheet.row(
      1,
      Infinity,
      sheet.each((one) => one.exercise === exercise),
    );
  }
}

/** Strong ones of a phase only with a segment of each phase that has to lead up to them. */
export function addStrong(
  sheet: Sheet,
  problem: PlannerProblem,
  places: ReadonlyMap<string, number>,
): void {
  // Of an exercise one way is chosen at most, so its ways can share a row.
  const strong = sheet.grouped(
    (one) => one.strong,
    ({ exercise, phase }) => `${phase} ${exercise}`,
  );
  for (const lead of leadsOf(problem, places)) {
    const columns = new Map<string, number>();
    for (const { first, entries } of strong) {
      const before = lead.filter((place) => place < places.get(first.phase)!);
      const key = before.join(' ');
      const column =
        columns.get(key) ?? sheet.any(({ phase }) => before.includes(places.get(phase)!));
      columns.set(key, column);
      sheet.atMost(entries, [[column, 1]]);
    }
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
  const placeOf = ({ phase }: Candidate) => places.get(phase)!;
  const high = sheet.grouped(
    ({ top }) => top !== null && top > reached + greatestRise,
    ({ exercise, phase, top }) => `${phase} ${exercise} ${top}`,
  );
  if (high.length === 0) return;
  const least = Math.min(...high.map(({ first }) => first.top!)) - greatestRise;
  /** How many of a phase have just that top. */
  const withTop = phases.map(({ id }) => {
    const tops = new Map<number, number>();
    const here = sheet.usable.filter(
      ({ phase, top }) => phase === id && top !== null && top >= least,
    );
    for (const height of new Set(here.map(({ top }) => top!))) {
      const column = sheet.sum(({ phase, top }) => phase === id && top === height);
      if (column !== undefined) tops.set(height, column);
    }
    return tops;
  });
  const between = (place: number, from: number, to: number): Entries =>
    [...withTop[place]!].flatMap(([height, column]) =>
      height >= from && height < to ? [[column, 1] as const] : [],
    );
  const known = new Map<string, number | undefined>();
  /** Whether any of the phases up to a place reached a height; undefined where none of them can. */
  const reachedBy = (place: number, height: number): Entries => {
    if (place < 0) return [];
    const key = `${place} ${height}`;
    if (!known.has(key)) {
      const here = between(place, height, Infinity);
      const before = reachedBy(place - 1, height);
      if (here.length === 0) return before;
      const column = sheet.follow({ cost: 0, upper: 1, integer: false }, (chosen) =>
        chosen.some((one) => one.top !== null && one.top >= height && placeOf(one) <= place)
          ? 1
          : 0,
      );
      sheet.atMost([[column, 1]], [...here, ...before]);
      known.set(key, column);
    }
    return [[known.get(key)!, 1]];
  };
  for (const { first, entries } of high) {
    const top = first.top!;
    const place = placeOf(first);
    sheet.atMost(entries, [
      ...between(place, top - greatestRise, top),
      ...reachedBy(place - 1, top - greatestRise),
    ]);
  }
}
