import type { Seconds } from '../units';

/** The longest that a choir breathed out on one evening, most or all managing it. */
export interface Outflow {
  /** Days since any fixed moment. */
  readonly day: number;
  readonly seconds: Seconds;
}

/** How a comfortable phrase is learned (docs/model.md, section 13). */
const figures = {
  /** Of so many evenings the mean is taken; fewer say nothing. */
  evenings: 4,
  /** It grows by no more than this in a week: breath takes weeks. */
  secondsAWeek: 1,
  daysAWeek: 7,
} as const;

/** The comfortable phrase by what was breathed out; undefined below four evenings. */
export function learnedPhrase(outflows: readonly Outflow[]): Seconds | undefined {
  const inOrder = [...outflows].sort((a, b) => a.day - b.day);
  let learned: { readonly day: number; readonly seconds: Seconds } | undefined;
  for (let end = figures.evenings; end <= inOrder.length; end += 1) {
    const last = inOrder.slice(end - figures.evenings, end);
    const mean = last.reduce((sum, { seconds }) => sum + seconds, 0) / figures.evenings;
    const { day } = last.at(-1)!;
    const most = learned
      ? learned.seconds + (figures.secondsAWeek * (day - learned.day)) / figures.daysAWeek
      : mean;
    learned = { day, seconds: Math.min(mean, most) };
  }
  return learned?.seconds;
}
