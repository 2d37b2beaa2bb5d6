import type { Occasion, Recommendation } from '@wide-fern/core';

const reasons: Readonly<Record<Occasion, string>> = {
  'evening after work': 'People have talked all day: shorter and gentler, no heavy stretching.',
  morning: 'Voices in the morning sit lower and need longer.',
  'before a performance': 'Cold voices before a performance need a whole warm-up, and calm.',
  'after a break': 'Voices are warm: a few minutes bring them together again.',
  'in between': 'Straight before a piece, one or two exercises for what it needs.',
};

/** Why a warm-up should be so long. */
export const recommendationInWords = ({ occasion, short }: Recommendation): string =>
  short
    ? `${reasons[occasion]} The evening is short, so it takes a fifth of it at most.`
    : reasons[occasion];
