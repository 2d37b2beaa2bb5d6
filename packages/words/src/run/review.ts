import type { OpenTarget } from '@wide-fern/core';
import { dateInWords } from '../dates';

/** «Open is long outflow, since 11 November, judged 2 of 5.» */
export function openTargetInWords({
  skill,
  since,
  last,
}: Pick<OpenTarget, 'skill' | 'since'> & { readonly last?: number | undefined }): string {
  const judged = last === undefined ? 'not judged yet' : `last judged ${last} of 5`;
  return `Open is ${skill}, since ${dateInWords(since)}, ${judged}.`;
}
