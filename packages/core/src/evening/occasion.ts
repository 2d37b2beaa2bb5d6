/** What an evening is, as far as its warm-up follows from it (docs/model.md, section 6). */
export const occasions = [
  'evening after work',
  'morning',
  'before a performance',
  'after a break',
  'in between',
] as const;
export type Occasion = (typeof occasions)[number];

/** How long a warm-up should be, in minutes, and why. */
export interface Recommendation {
  readonly minutes: readonly [from: number, to: number];
  readonly reason: string;
}

const usual: Readonly<Record<Occasion, Recommendation>> = {
  'evening after work': {
    minutes: [10, 15],
    reason: 'People have talked all day: shorter and gentler, no heavy stretching.',
  },
  morning: {
    minutes: [15, 20],
    reason: 'Voices in the morning sit lower and need longer.',
  },
  'before a performance': {
    minutes: [15, 20],
    reason: 'Cold voices before a performance need a whole warm-up, and calm.',
  },
  'after a break': {
    minutes: [5, 8],
    reason: 'Voices are warm: a few minutes bring them together again.',
  },
  'in between': {
    minutes: [3, 5],
    reason: 'Straight before a piece, one or two exercises for what it needs.',
  },
};

/** A rehearsal shorter than this many times its warm-up is better sung in. */
const leastTimes = 5;
const shortest = 3;

/**
 * The recommended length of a warm-up for an occasion. It takes at most a fifth of the evening; an
 * estimate to begin with, never a rule.
 */
export function recommendedWarmUp(occasion: Occasion, eveningMinutes: number): Recommendation {
  const { minutes, reason } = usual[occasion];
  const most = Math.max(shortest, Math.floor(eveningMinutes / leastTimes));
  if (most >= minutes[1]) return { minutes, reason };
  return {
    minutes: [Math.min(minutes[0], most), most],
    reason: `${reason} The evening is short, so it takes a fifth of it at most.`,
  };
}
