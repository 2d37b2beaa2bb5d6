/** What an evening is, as far as its warm-up follows from it (docs/model.md, section 6). */
export const occasions = [
  'evening after work',
  'morning',
  'before a performance',
  'after a break',
  'in between',
] as const;
export type Occasion = (typeof occasions)[number];

/** How long a warm-up should be, in minutes, and whether the shortness of the evening says so. */
export interface Recommendation {
  readonly occasion: Occasion;
  readonly minutes: readonly [from: number, to: number];
  readonly short: boolean;
}

const usual: Readonly<Record<Occasion, readonly [from: number, to: number]>> = {
  'evening after work': [10, 15],
  morning: [15, 20],
  'before a performance': [15, 20],
  'after a break': [5, 8],
  'in between': [3, 5],
};

/** A rehearsal shorter than this many times its warm-up is better sung in. */
const leastTimes = 5;
const shortest = 3;

/**
 * The recommended length of a warm-up for an occasion. It takes at most a fifth of the evening; an
 * estimate to begin with, never a rule.
 */
export function recommendedWarmUp(occasion: Occasion, eveningMinutes: number): Recommendation {
  const minutes = usual[occasion];
  const most = Math.max(shortest, Math.floor(eveningMinutes / leastTimes));
  if (most >= minutes[1]) return { occasion, minutes, short: false };
  return { occasion, minutes: [Math.min(minutes[0], most), most], short: true };
}
