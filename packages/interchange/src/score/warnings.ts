import type { ScoreWarning } from '@wide-fern/core';

/** Collects what was not understood: the same thing is said once for each bar, at most so often. */
export class Warnings {
  readonly list: ScoreWarning[] = [];
  private readonly seen = new Set<string>();

  add(bar: number | null, where: string, what: string): void {
    const key = `${bar} ${where} ${what}`;
    if (this.seen.has(key) || this.list.length >= mostWarnings) return;
    this.seen.add(key);
    this.list.push({ bar, where, what });
  }
}

const mostWarnings = 300;
