import type { ScoreWarning } from '@wide-fern/core';

const mostWarnings = 300;

/** Collects what was not understood: the same thing is said once for each bar, at most so often. */
export class Warnings {
  readonly list: ScoreWarning[] = [];
  private readonly seen = new Set<string>();
  /** How many were said, by whom they concern: the one kind never takes the other's room. */
  private readonly said = new Map<ScoreWarning['of'], number>();

  /** @param bar its place in the score; null for all of it */
  add(bar: number | null, where: string, what: string, of?: ScoreWarning['of']): void {
    const said = this.said.get(of) ?? 0;
    if (said >= mostWarnings) return;
    const key = `${bar} ${where} ${what}`;
    if (this.seen.has(key)) return;
    this.seen.add(key);
    this.said.set(of, said + 1);
    this.list.push({ bar, where, what, ...(of ? { of } : {}) });
  }
}
