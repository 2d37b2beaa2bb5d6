import type { SectionsChange } from '@wide-fern/plan';
import { counted, formFor } from '../counting';

/** What became of the keys when it was said who is here: «Put anew: three exercises have other keys.» */
export function putAnewInWords({ segments }: Pick<SectionsChange, 'segments'>): string {
  const count = segments.length;
  if (count === 0) return 'Weighed anew: every key stays as it is.';
  const what = counted(count, 'exercise', 'exercises');
  return `Weighed anew: ${what} ${formFor(count, 'has', 'have')} other keys or other rests.`;
}
