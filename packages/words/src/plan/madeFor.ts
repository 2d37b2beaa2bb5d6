import type { Tonight } from '@wide-fern/core';
import { countInWords } from '../counting';
import { conditionWords } from '../labels';

/** What a plan was made for: «for 12 S, 10 A, 6 T, 7 B (one away), after a working day». */
export function madeForInWords({ sections, condition = 'rested' }: Tonight): string {
  const known = sections.some(({ singers }) => singers > 0);
  const counts = sections.map(({ id, singers, away = 0 }) =>
    away > 0 ? `${singers} ${id} (${countInWords(away)} away)` : `${singers} ${id}`,
  );
  const who = known ? counts.join(', ') : 'what each part usually sings';
  return `for ${who}${condition === 'rested' ? '' : `, ${conditionWords[condition]}`}`;
}
