import { worthSaying } from '@wide-fern/core';
import { countInWords } from './counting';

/** How likely it is that too few are comfortable: «on three evenings in ten, too few are at ease here»; nothing where it is unlikely. */
export function unsureInWords(tooFew: number): string | undefined {
  if (tooFew <= worthSaying) return undefined;
  const tenths = Math.round(tooFew * 10);
  if (tenths >= 10) return 'nearly always too few are at ease here';
  return `on ${countInWords(tenths)} evenings in ten, too few are at ease here`;
}
