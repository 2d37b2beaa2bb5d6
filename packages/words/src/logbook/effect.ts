import { leastPairs, weeksBetween, type Rate } from '@wide-fern/core';
import type { LogbookView, SkillEffect } from '@wide-fern/plan';
import { capitalise, counted, countInWords, formFor } from '../counting';

const inTen = (share: number): number => Math.round(10 * share);

/** «three times better in four (likely between 4 and 9 in 10)» */
function rateInWords({ better, of, low, high }: Rate): string {
  const times =
    better === 0
      ? 'never'
      : better === 1
        ? 'once'
        : better === 2
          ? 'twice'
          : `${countInWords(better)} times`;
  return `${times} in ${countInWords(of)} (the true rate is likely between ${inTen(low)} and ${inTen(high)} in 10)`;
}

/** Whether leading a skill helped: how often it was judged better after it was led, and without; no more than can be said. */
export function effectInWords({ skill, all }: Pick<SkillEffect, 'skill' | 'all'>): string {
  const { pairs, rates } = all;
  if (!rates) {
    return `${capitalise(skill)}: judged again ${counted(pairs.length, 'time', 'times')}, too few to say (from ${countInWords(leastPairs)} on).`;
  }
  const led =
    rates.led.of === 0
      ? 'it was never led in between'
      : `after it was led, better ${rateInWords(rates.led)}`;
  const without = rates.without.of === 0 ? '' : `; without, ${rateInWords(rates.without)}`;
  return `${capitalise(skill)}: ${led}${without}.`;
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
