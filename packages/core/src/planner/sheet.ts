import type { Candidate } from './problem';
import type { Column, Row } from './mip';

/** Entries of a row, by columns. */
export type Entries = readonly (readonly [column: number, factor: number])[];

/** A column whose value follows from what is chosen. */
export interface Derived {
  readonly column: number;
  readonly of: (chosen: readonly Candidate[]) => number;
}

/** Where a programme is written down: its columns and rows, and the column of each usable candidate. */
export class Sheet {
  readonly columns: Column[] = [];
  readonly rows: Row[] = [];
  readonly derived: Derived[] = [];
  /** By the place of a candidate among the usable ones. */
  readonly chosen: readonly number[];

  constructor(
    readonly usable: readonly Candidate[],
    of: (one: Candidate) => Pick<Column, 'cost' | 'lower'>,
  ) {
    this.chosen = usable.map((one) => this.column({ ...of(one), upper: 1, integer: true }));
  }

  column(column: Column): number {
    return this.columns.push(column) - 1;
  }

  /** A column from 0 whose value is told by what is chosen. */
  follow(column: Omit<Column, 'lower'>, of: Derived['of']): number {
    const place = this.column({ ...column, lower: 0 });
    this.derived.push({ column: place, of });
    return place;
  }

  row(lower: number, upper: number, entries: Entries): void {
    this.rows.push({ lower, upper, entries });
  }

  /** At most what is on the right: left − right ≤ 0. */
  atMost(left: Entries, right: Entries): void {
    this.row(-Infinity, 0, [...left, ...right.map(([column, by]) => [column, -by] as const)]);
  }

  /** The usable candidates weighed, those of no weight left out. */
  weighed(of: (one: Candidate) => number): Entries {
    const entries: (readonly [number, number])[] = [];
    this.usable.forEach((one, i) => {
      const factor = of(one);
      if (factor !== 0) entries.push([this.chosen[i]!, factor]);
    });
    return entries;
  }

  /** Each of some candidates once. */
  each(among: (one: Candidate) => boolean): Entries {
    return this.weighed((one) => (among(one) ? 1 : 0));
  }

  /** A column that is how many of some candidates are chosen; undefined where there are none. */
  sum(among: (one: Candidate) => boolean, integer = false): number | undefined {
    const entries = this.each(among);
    if (entries.length === 0) return undefined;
    const column = this.follow(
      { cost: 0, upper: entries.length, integer },
      (chosen) => chosen.filter(among).length,
    );
    this.row(0, 0, [...entries, [column, -1]]);
    return column;
  }

  /** A column that is 1 at most, and only where any of some candidates is chosen. */
  any(among: (one: Candidate) => boolean): number {
    const column = this.follow({ cost: 0, upper: 1, integer: false }, (chosen) =>
      chosen.some(among) ? 1 : 0,
    );
    this.atMost([[column, 1]], this.each(among));
    return column;
  }

  /** Some candidates, by what they share. */
  grouped(
    among: (one: Candidate) => boolean,
    keyOf: (one: Candidate) => string,
  ): { readonly first: Candidate; readonly entries: Entries }[] {
    const groups = new Map<string, { first: Candidate; entries: (readonly [number, number])[] }>();
    this.usable.forEach((one, i) => {
      if (!among(one)) return;
      const key = keyOf(one);
      const group = groups.get(key) ?? { first: one, entries: [] };
      group.entries.push([this.chosen[i]!, 1]);
      groups.set(key, group);
    });
    return [...groups.values()];
  }
}
