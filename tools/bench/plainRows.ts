/** A planner's problem with the rows of docs/model.md, section 10, alone: what the planner's own are measured beside. */
import { greatestRise, type Candidate, type Mip, type PlannerProblem } from '@wide-fern/core';

type Entry = readonly [column: number, factor: number];

/** Columns and rows as they are added. */
class Rows {
  readonly columns: Mip['columns'][number][] = [];
  readonly rows: Mip['rows'][number][] = [];

  column(cost: number, upper: number, integer: boolean, lower = 0): number {
    this.columns.push({ cost, lower, upper, integer });
    return this.columns.length - 1;
  }

  row(lower: number, upper: number, entries: readonly Entry[]): void {
    this.rows.push({ lower, upper, entries });
  }

  atMost(left: readonly Entry[], right: readonly Entry[]): void {
    this.row(-Infinity, 0, [...left, ...right.map(([column, by]) => [column, -by] as const)]);
  }
}

const unit = 30;

export function plainRows(problem: PlannerProblem): Mip {
  const { seconds, slack, phases, wishes, needs, strongAfter, reached, pinned, excluded } = problem;
  const usable = problem.candidates.filter(({ exercise }) => !excluded.includes(exercise));
  const sheet = new Rows();
  const x = usable.map(({ id, points }) =>
    sheet.column(points, 1, true, pinned.includes(id) ? 1 : 0),
  );
  const weighed = (of: (one: Candidate) => number): Entry[] =>
    usable.flatMap((one, i) => (of(one) === 0 ? [] : [[x[i]!, of(one)] as const]));
  const each = (among: (one: Candidate) => boolean) => weighed((one) => (among(one) ? 1 : 0));

  sheet.row(
    seconds - slack,
    seconds,
    weighed((one) => one.seconds),
  );
  for (const exercise of new Set(usable.map((one) => one.exercise))) {
    sheet.row(
      -Infinity,
      1,
      each((one) => one.exercise === exercise),
    );
  }
  for (const { id, required, least, most, strong } of phases) {
    const here = (one: Candidate) => one.phase === id;
    if (required) sheet.row(1, Infinity, each(here));
    sheet.row(
      least,
      most,
      weighed((one) => (here(one) ? one.seconds : 0)),
    );
    sheet.row(
      -Infinity,
      strong,
      each((one) => here(one) && one.strong),
    );
  }
  for (const [skill, weight] of Object.entries(wishes)) {
    const double = sheet.column(2 * weight, 2, true);
    const once = sheet.column(weight, 2, true);
    const led = (most: number) => weighed(({ serves }) => Math.min(most, serves[skill] ?? 0));
    sheet.atMost(
      [
        [double, unit],
        [once, unit],
      ],
      led(4 * unit),
    );
    sheet.atMost([[double, unit]], led(2 * unit));
  }
  for (const [part, { top, bottom }] of Object.entries(needs)) {
    for (let note = top?.[0] ?? 1; top && note <= top[1]; note += 1) {
      const reach = each(({ high }) => (high?.[part] ?? -Infinity) >= note);
      sheet.atMost([[sheet.column(1, 1, false), 1]], reach);
    }
    for (let note = bottom?.[0] ?? 1; bottom && note <= bottom[1]; note += 1) {
      const reach = each(({ low }) => (low?.[part] ?? Infinity) <= note);
      sheet.atMost([[sheet.column(1, 1, false), 1]], reach);
    }
  }
  const places = new Map(phases.map(({ id }, place) => [id, place]));
  usable.forEach((one, i) => {
    if (!one.strong) return;
    for (const before of strongAfter.flat()) {
      const isBehind = places.get(before)! < places.get(one.phase)!;
      sheet.atMost([[x[i]!, 1]], isBehind ? each(({ phase }) => phase === before) : []);
    }
  });
  if (reached !== null) addRises(sheet, usable, x, { reached, phases, places });
  return { columns: sheet.columns, rows: sheet.rows };
}

function addRises(
  sheet: Rows,
  usable: readonly Candidate[],
  x: readonly number[],
  {
    reached,
    phases,
    places,
  }: {
    readonly reached: number;
    readonly phases: PlannerProblem['phases'];
    readonly places: ReadonlyMap<string, number>;
  },
): void {
  const rising = usable.flatMap((one, i) =>
    one.top !== null && one.top > reached + greatestRise ? [{ one, column: x[i]! }] : [],
  );
  const heights = new Set(rising.map(({ one }) => one.top! - greatestRise));
  const here = (place: number, from: number, to: number): Entry[] =>
    usable.flatMap(({ phase, top }, i) =>
      places.get(phase) === place && top !== null && top >= from && top < to
        ? [[x[i]!, 1] as const]
        : [],
    );
  const flow = new Map<string, number>();
  for (const height of heights) {
    phases.forEach((_, place) => {
      const column = sheet.column(0, 1, false);
      const before = flow.get(`${place - 1} ${height}`);
      sheet.atMost(
        [[column, 1]],
        [...(before === undefined ? [] : [[before, 1] as const]), ...here(place, height, Infinity)],
      );
      flow.set(`${place} ${height}`, column);
    });
  }
  for (const { one, column } of rising) {
    const place = places.get(one.phase)!;
    const height = one.top! - greatestRise;
    const before = flow.get(`${place - 1} ${height}`);
    sheet.atMost(
      [[column, 1]],
      [...(before === undefined ? [] : [[before, 1] as const]), ...here(place, height, one.top!)],
    );
  }
}
