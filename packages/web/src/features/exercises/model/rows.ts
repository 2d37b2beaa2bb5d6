import { folded, phases, wantedBy, type Folded, type Phase, type Wanted } from '@wide-fern/core';
import type { Listed } from './listed';

/** A row of the list: a phase's heading, an exercise, or the other ways of its family. */
export type Row =
  { readonly kind: 'phase'; readonly phase: Phase; readonly count: number } | Folded<Listed>;

/**
 * What is wanted of all, grouped by phase; within a phase favourites first, then as they came, families
 * folded unless words are searched for.
 * @param unfolded the families that are open, by their keys
 */
export function rowsOf(
  all: readonly Listed[],
  wanted: Wanted,
  now: number,
  unfolded: ReadonlySet<string> = new Set(),
): Row[] {
  const isWanted = wantedBy(wanted, now);
  const byPhase = new Map<Phase, Listed[]>();
  for (const one of all) {
    if (!isWanted(one)) continue;
    const here = byPhase.get(one.phase);
    if (here) here.push(one);
    else byPhase.set(one.phase, [one]);
  }
  return phases.flatMap((phase): Row[] => {
    const here = byPhase.get(phase);
    if (!here) return [];
    const ordered = [
      ...here.filter(({ favourite }) => favourite),
      ...here.filter(({ favourite }) => !favourite),
    ];
    const rows: Row[] = wanted.words
      ? ordered.map((item) => ({ kind: 'one', item }))
      : folded(ordered, ({ exercise }) => exercise.family?.id, phase, unfolded);
    return [{ kind: 'phase', phase, count: here.length }, ...rows];
  });
}

/** How many exercises the rows hold, those that are folded away too. */
export const countOf = (rows: readonly Row[]): number =>
  rows.reduce((sum, row) => sum + (row.kind === 'phase' ? row.count : 0), 0);
