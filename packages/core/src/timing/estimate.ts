import type { Seconds } from '../units';

/** A length that is not certain: its mean and variance (s²). */
export interface Estimate {
  readonly mean: Seconds;
  readonly variance: number;
}

/** How an estimate is learned and shown (docs/model.md, section 6). */
const estimateFigures = {
  /** How many observations the prior weighs as. */
  priorWeight: 3,
  /** The prior's spread as a share of its mean. */
  priorSpread: 0.4,
  /** The shown span is never narrower than this share of the planned length. */
  leastSpan: 0.08,
} as const;

/** The 90th percentile of the normal distribution, in standard deviations. */
const ninetieth = 1.2815515655446004;

/** What is said before an exercise takes so long: the first time it is led here, and every time after (docs/model.md, section 13). */
const talkPrior = { first: 40, again: 20 } as const;

/** The talk before an exercise the first time it is led here, from what it takes where it is known. */
export const firstTalk = (known: Seconds): Seconds => known + talkPrior.first - talkPrior.again;

/** An estimate from what was thought before, which weighs as so many observations, and what was observed. */
function learned(
  prior: { readonly mean: number; readonly spread: number; readonly weight: number },
  observed: readonly number[],
): Estimate {
  const weight = prior.weight + observed.length;
  const mean = (prior.weight * prior.mean + observed.reduce((sum, x) => sum + x, 0)) / weight;
  const squares = observed.reduce((sum, x) => sum + (x - mean) ** 2, 0);
  return { mean, variance: (prior.weight * prior.spread ** 2 + squares) / weight };
}

/** The talk before an exercise, from its prior and what was observed. */
export function learnedTalk(prior: Seconds, observed: readonly Seconds[] = []): Estimate {
  const { priorWeight, priorSpread } = estimateFigures;
  return learned({ mean: prior, spread: priorSpread * prior, weight: priorWeight }, observed);
}

/** How long singing takes against its plan before anybody sang it here: just as long, more or less. */
const pacePrior = { mean: 1, spread: 0.08 } as const;

/**
 * How many times as long as planned an exercise is sung or done, from what was observed (docs/model.md,
 * section 13).
 * @param observed real seconds over planned ones, each time
 */
export function learnedPace(observed: readonly number[]): Estimate {
  return learned({ ...pacePrior, weight: estimateFigures.priorWeight }, observed);
}

/** What was observed of an exercise: the talk before it, and how many times as long as planned it was sung or done. */
export interface Observed {
  readonly talks: readonly Seconds[];
  readonly paces: readonly number[];
}
const nothing: Observed = { talks: [], paces: [] };

/**
 * How long a segment likely takes (docs/model.md, sections 6 and 13): its talk and what is sung or done, each as
 * planned and as observed.
 * @param seconds its planned length, talk included
 */
export function segmentEstimate(
  { talk, seconds }: { readonly talk: Seconds; readonly seconds: Seconds },
  { talks, paces }: Observed = nothing,
): Estimate {
  const said = learnedTalk(talk, talks);
  const pace = learnedPace(paces);
  const sung = seconds - talk;
  return {
    mean: said.mean + pace.mean * sung,
    variance: said.variance + pace.variance * sung ** 2,
  };
}

/** The likely length of a whole warm-up. */
export interface LikelyLength {
  readonly mean: Seconds;
  /** 10th and 90th percentile. */
  readonly early: Seconds;
  readonly late: Seconds;
  /** Standard deviation, widened to the least span. */
  readonly spread: Seconds;
}

/** Sums independent lengths; the span is never narrower than 8 % of the mean. */
export function likelyLength(lengths: readonly Estimate[]): LikelyLength {
  const mean = lengths.reduce((sum, length) => sum + length.mean, 0);
  const variance = lengths.reduce((sum, length) => sum + length.variance, 0);
  const leastSpread = (estimateFigures.leastSpan * mean) / (2 * ninetieth);
  const spread = Math.max(Math.sqrt(variance), leastSpread);
  return { mean, early: mean - ninetieth * spread, late: mean + ninetieth * spread, spread };
}

/** The normal distribution function, by Abramowitz and Stegun 7.1.26 (error below 1.5e−7). */
function normal(x: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(x)) / Math.SQRT2);
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp((-x * x) / 2);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** The chance (0 to 1) that a warm-up of this likely length ends within the time set aside. */
export function chanceOnTime(length: LikelyLength, allotted: Seconds): number {
  if (length.spread === 0) return length.mean <= allotted ? 1 : 0;
  return normal((allotted - length.mean) / length.spread);
}
