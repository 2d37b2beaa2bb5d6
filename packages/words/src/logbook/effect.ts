import { leastPairs, weeksBetween, type Rate } from '@wide-fern/core';
import type { LogbookView, SkillEffect } from '@wide-fern/plan';
import { lengthInFigures } from '../time';
import { capitalise, countInWords, formFor, timesInWords } from '../counting';

const inTen = (share: number): number => Math.round(10 * share);

/** «three times better in four (likely between 4 and 9 in 10)» */
function rateInWords({ better, of, low, high }: Rate): string {
  const times = better === 0 ? 'never' : timesInWords(better);
  return `${times} in ${countInWords(of)} (the true rate is likely between ${inTen(low)} and ${inTen(high)} in 10)`;
}

/** Whether leading a skill helped: how often it was judged better after it was led, and without; no more than can be said. */
export function effectInWords({
  skill,
  all,
  title,
}: Pick<SkillEffect, 'skill' | 'all'> & {
  /** The piece it is about, where it is one. */
  readonly title?: string;
}): string {
  const { pairs, rates } = all;
  const of = title === undefined ? capitalise(skill) : `“${title}”`;
  if (!rates) {
    return `${of}: judged again ${timesInWords(pairs.length)}, too few to say (from ${countInWords(leastPairs)} on).`;
  }
  const led =
    rates.led.of === 0
      ? 'it was never led in between'
      : `after it was led, better ${rateInWords(rates.led)}`;
  const without = rates.without.of === 0 ? '' : `; without, ${rateInWords(rates.without)}`;
  return `${of}: ${led}${without}.`;
}

/** «long outflow: better by 1 after 6:20, as before without» */
export function pairsInWords({
  skill,
  all: { pairs },
}: Pick<SkillEffect, 'skill' | 'all'>): string {
  const each = pairs.map(({ change, seconds }) => {
    const how =
      change === 0 ? 'as before' : `${change > 0 ? 'better' : 'worse'} by ${Math.abs(change)}`;
    return `${how} ${seconds > 0 ? `after ${lengthInFigures(seconds)}` : 'without'}`;
  });
  return `${skill}: ${each.join(', ')}`;
}

/** A target that was reached: «“Cold Iron”: tuning was better after three weeks.» */
export function closedInWords({ title, skill, from, to }: LogbookView['closed'][number]): string {
  const weeks = weeksBetween(from, to);
  const after =
    weeks === 0
      ? 'within a week'
      : `after ${countInWords(weeks)} ${formFor(weeks, 'week', 'weeks')}`;
  return `“${title}”: ${skill} was better ${after}.`;
}
