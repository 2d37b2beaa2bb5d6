import { phases, wantedBy, type Phase, type Wanted } from '@wide-fern/core';
import type { Listed } from './listed';

/** A row of the list: a phase's heading, an exercise, or the other ways of its family. */
export type Row =
  | { readonly kind: 'phase'; readonly phase: Phase; readonly count: number }
  | { readonly kind: 'exercise'; readonly listed: Listed; readonly within?: true }
  | {
      readonly kind: 'ways';
      readonly phase: Phase;
      readonly family: string;
      /** How many more there are beside the one above. */
      readonly more: number;
      readonly open: boolean;
    };

/** Fewer ways than this stand in the list one by one. */
const fewestFolded = 3;

/** A family of one phase, as it is opened and folded. */
export const familyKey = (phase: Phase, family: string): string => `${phase} ${family}`;

/** A phase's exercises, families folded behind the first of them. */
function folded(phase: Phase, here: readonly Listed[], unfolded: ReadonlySet<string>): Row[] {
  const families = new Map<string, Listed[]>();
  for (const one of here) {
    const id = one.exercise.family?.id;
    if (id !== undefined) families.set(id, [...(families.get(id) ?? []), one]);
  }
  const told = new Set<string>();
  return here.flatMap((listed): Row[] => {
    const family = listed.exercise.family?.id;
    const ways = family === undefined ? [] : (families.get(family) ?? []);
    if (family === undefined || ways.length < fewestFolded) return [{ kind: 'exercise', listed }];
    if (told.has(family)) return [];
    told.add(family);
    const open = unfolded.has(familyKey(phase, family));
    const others = ways
      .slice(1)
      .map((one): Row => ({ kind: 'exercise', listed: one, within: true }));
    return [
      { kind: 'exercise', listed },
      { kind: 'ways', phase, family, more: others.length, open },
      ...(open ? others : []),
    ];
  });
}

/**
 * What is wanted of all, grouped by phase; within a phase favourites first, then as they came, families
 * folded unless words are searched for.
 * @param unfolded the families that are open, by `familyKey`
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
      ? ordered.map((listed) => ({ kind: 'exercise', listed }))
      : folded(phase, ordered, unfolded);
    return [{ kind: 'phase', phase, count: here.length }, ...rows];
  });
}

/** How many exercises the rows hold, those that are folded away too. */
export const countOf = (rows: readonly Row[]): number =>
  rows.reduce((sum, row) => sum + (row.kind === 'phase' ? row.count : 0), 0);
