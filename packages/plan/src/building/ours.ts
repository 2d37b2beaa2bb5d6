import type { PlanDocument, Segment } from '@wide-fern/contract';
import { computeSegment, hasKeys, type Approach, type Phase, type Shape } from '@wide-fern/core';

/** Fewer plans than this say nothing of a habit. */
export const fewestPlans = 3;
/** As many plans are looked at, the last ones. */
export const mostPlans = 10;

/** A phase that is in so many of the plans belongs to the habit; in so many, it is never left out. */
const usual = 0.5;
const always = 0.8;
/** By so many per cent of the time a phase may be shorter or longer than the half of the plans have it. */
const around = 5;

const sorted = (values: readonly number[]): number[] => [...values].sort((a, b) => a - b);
/** The value below which a share of the values lies. */
const quantile = (values: readonly number[], share: number): number => {
  const all = sorted(values);
  return all[Math.min(all.length - 1, Math.floor(share * all.length))] ?? 0;
};
const median = (values: readonly number[]): number => quantile(values, 0.5);

function mostFrequent<T>(values: readonly T[]): T | undefined {
  const counts = new Map<T, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** One plan by its phases: where each begins, and its share of the time in per cent. */
function sharesOf({ segments, tonight }: PlanDocument) {
  const lengths = segments.map((segment) => computeSegment(segment, tonight).seconds);
  const total = lengths.reduce((sum, one) => sum + one, 0);
  const phases = new Map<Phase, { share: number; place: number }>();
  segments.forEach(({ exercise: { phase } }, i) => {
    const share = (100 * lengths[i]!) / Math.max(1, total);
    const known = phases.get(phase);
    phases.set(phase, {
      share: (known?.share ?? 0) + share,
      place: known?.place ?? i / Math.max(1, segments.length - 1),
    });
  });
  return phases;
}

/**
 * How a choir makes its warm-ups, told from the last ones it planned: the medians of what they had in which
 * order. Undefined where too few were planned.
 * @param plans the last ones first
 */
export function asWeDoIt(plans: readonly PlanDocument[]): Approach | undefined {
  const looked = plans.filter(({ segments }) => segments.length > 0).slice(0, mostPlans);
  if (looked.length < fewestPlans) return undefined;
  const shares = looked.map(sharesOf);
  const names = new Set(shares.flatMap((phases) => [...phases.keys()]));
  const phases = [...names]
    .map((phase) => {
      const there = shares.flatMap((one) => one.get(phase) ?? []);
      const part = there.length / looked.length;
      const lengths = there.map(({ share }) => share);
      return {
        ...{ phase, part, place: median(there.map(({ place }) => place)) },
        least: Math.max(0, Math.round(quantile(lengths, 0.25)) - around),
        most: Math.min(100, Math.round(quantile(lengths, 0.75)) + around),
      };
    })
    .filter(({ part }) => part >= usual)
    .sort((a, b) => a.place - b.place)
    .map(({ phase, part, least, most }) => {
      const required = part >= always;
      return { phase, required, least: required ? least : 0, most };
    });
  const all: Segment[] = looked.flatMap(({ segments }) => segments);
  const keyed = all.filter(({ exercise }) => hasKeys(exercise.music));
  const counts = keyed.map(({ choices }) => choices.repetitions);
  const shape = mostFrequent<Shape>(keyed.map(({ choices }) => choices.shape));
  const ledAs = {
    voices: mostFrequent(keyed.map(({ choices }) => choices.voices)),
    lowVoices: mostFrequent(keyed.map(({ choices }) => choices.lowVoices)),
    tooHigh: mostFrequent(keyed.map(({ choices }) => choices.tooHigh)),
    purposeSaid: mostFrequent(all.map(({ choices }) => choices.purposeSaid)),
    untilRight: mostFrequent(all.map(({ choices }) => choices.untilRight ?? false)) || undefined,
  };
  const once = new Set(all.map(({ exercise }) => exercise.id)).size;
  return {
    id: 'as-we-do-it',
    phases,
    ...(shape ? { shape } : {}),
    ...Object.fromEntries(Object.entries(ledAs).filter(([, value]) => value !== undefined)),
    ...(counts.length > 0
      ? { keys: [quantile(counts, 0.1), Math.max(quantile(counts, 0.1), quantile(counts, 0.9))] }
      : {}),
    rise: true,
    // Where half of what is sung comes again, the known is kept.
    habit: once <= all.length / 2 ? 'keep' : 'vary',
    talk: Math.round(median(all.map(({ choices }) => choices.talk))),
  };
}
