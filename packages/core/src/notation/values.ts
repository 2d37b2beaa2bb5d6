import type { Beats } from '../units';

/** A written length: the value's head, in quarters, its dots, and whether it is one of a triplet. */
export interface Written {
  /** 8 is a breve, 4 a whole note, 1 a quarter, 1/32 the shortest. */
  readonly value: number;
  readonly dots: 0 | 1 | 2;
  readonly triplet: boolean;
}

const values = [8, 4, 2, 1, 1 / 2, 1 / 4, 1 / 8, 1 / 16, 1 / 32] as const;
const dotted = [1, 1.5, 1.75] as const;
/** Lengths closer than this are one: far below the shortest, far above what sums of thirds are off. */
const near = 1e-4;

/** Every written length without a triplet, the longest first. */
const writable: readonly (Written & { readonly quarters: number })[] = values
  .flatMap((value) =>
    dotted.map((factor, dots) => ({
      value,
      dots: dots as 0 | 1 | 2,
      triplet: false,
      quarters: value * factor,
    })),
  )
  .filter(({ value, dots }) => value / 2 ** dots >= 1 / 32)
  .sort((a, b) => b.quarters - a.quarters);

/** A length on the grid of all written ones, 96 to a quarter; others stay as they are. */
export function onGrid(quarters: Beats): Beats {
  const there = Math.round(quarters * 96) / 96;
  return Math.abs(there - quarters) < near ? there : quarters;
}

/** How long a written length sounds, in quarters. */
export const quartersOf = ({ value, dots, triplet }: Written): Beats =>
  value * dotted[dots] * (triplet ? 2 / 3 : 1);

const isOnGrid = (quarters: number): boolean =>
  Math.abs(quarters * 32 - Math.round(quarters * 32)) < near;

/**
 * Splits a length into written ones that are tied together, the longest first. A length that is
 * no multiple of a 32nd but of a third of one is written as triplets; what is left below the
 * shortest is dropped, so that anything can be drawn.
 */
export function writtenLengths(quarters: Beats): Written[] {
  const triplet = !isOnGrid(quarters) && isOnGrid(quarters * 1.5);
  let left = triplet ? quarters * 1.5 : quarters;
  const written: Written[] = [];
  for (const { quarters: length, ...one } of writable) {
    while (length <= left + near) {
      // A dotted value is for a length that it fills: 2.25 is a half and a sixteenth, not 1.75 and more.
      if (one.dots > 0 && Math.abs(length - left) > near) break;
      written.push({ ...one, triplet });
      left -= length;
    }
  }
  const shortest = { value: 1 / 32, dots: 0, triplet } as const;
  return written.length > 0 ? written : [shortest];
}
