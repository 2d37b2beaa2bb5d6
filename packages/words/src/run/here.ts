import type { SectionsChange } from '@wide-fern/plan';
import { counted, formFor, listInWords } from '../counting';

/** What became of the keys when it was said who is here: «Put anew: three exercises have other keys.» */
export function putAnewInWords({ segments }: Pick<SectionsChange, 'segments'>): string {
  if (segments.length === 0) return 'Weighed anew: every key stays as it is.';
  const stuck = segments.filter(
    ({ change: { now } }) => now.keys.kind !== 'none' && !now.keys.sung,
  );
  const count = segments.length - stuck.length;
  const what = `${counted(count, 'exercise', 'exercises')} ${formFor(count, 'has', 'have')} other keys or other rests`;
  const names = listInWords(stuck.map(({ segment }) => `“${segment.exercise.name}”`));
  return [
    ...(count > 0 ? [`Weighed anew: ${what}.`] : []),
    ...(stuck.length > 0 ? [`${names}: ${noKeyInWords}`] : []),
  ].join(' ');
}

/** Said of an exercise in no key of which everybody is in reach. */
export const noKeyInWords = 'no key fits everybody who is here; leave it out.';
