import { phases, wantedBy, type Phase, type Wanted } from '@wide-fern/core';
import type { Listed } from './listed';

/** A row of the list: a phase's heading, or an exercise. */
export type Row =
  | { readonly kind: 'phase'; readonly phase: Phase; readonly count: number }
  | { readonly kind: 'exercise'; readonly listed: Listed };

/** What is wanted of all, grouped by phase; within a phase favourites first, then as they came. */
export function rowsOf(all: readonly Listed[], wanted: Wanted, now: number): Row[] {
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
    return [
      { kind: 'phase', phase, count: here.length },
      ...ordered.map((listed): Row => ({ kind: 'exercise', listed })),
    ];
  });
}

/** How many exercises the rows hold. */
export const countOf = (rows: readonly Row[]): number =>
  rows.filter(({ kind }) => kind === 'exercise').length;
