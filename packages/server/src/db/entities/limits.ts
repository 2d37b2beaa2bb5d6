import type { PitchRange } from '@wide-fern/core';

/** Limits as four columns hold them. */
export interface LimitColumns {
  readonly comfortLow: number;
  readonly comfortHigh: number;
  readonly reachLow: number;
  readonly reachHigh: number;
}

/** Comfort and reach as columns. */
export const toColumns = ({
  comfort,
  reach,
}: {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
}): LimitColumns => ({
  comfortLow: comfort[0],
  comfortHigh: comfort[1],
  reachLow: reach[0],
  reachHigh: reach[1],
});

/** Columns as comfort and reach. */
export const fromColumns = (row: LimitColumns): { comfort: PitchRange; reach: PitchRange } => ({
  comfort: [row.comfortLow, row.comfortHigh],
  reach: [row.reachLow, row.reachHigh],
});

/** Columns that may be empty, as a singer's are before the first range is known. */
export type OpenLimitColumns = { readonly [K in keyof LimitColumns]?: number | null | undefined };

/** A singer's comfort and reach, or undefined while they are unknown. */
export function knownLimits(row: OpenLimitColumns) {
  const { comfortLow, comfortHigh, reachLow, reachHigh } = row;
  const isKnown = (note: number | null | undefined): note is number => typeof note === 'number';
  return isKnown(comfortLow) && isKnown(comfortHigh) && isKnown(reachLow) && isKnown(reachHigh)
    ? fromColumns({ comfortLow, comfortHigh, reachLow, reachHigh })
    : undefined;
}
