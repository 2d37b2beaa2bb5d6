import type { Instead, Likeness } from '@wide-fern/plan';
import { listInWords } from '../counting';
import { lengthInFigures } from '../time';

/** How what could stand instead compares, as a heading. */
export const likenessWords: Readonly<Record<Likeness, string>> = {
  family: 'Of the same family',
  easier: 'Easier',
  similar: 'Much the same',
  harder: 'Harder',
};

/** What another exercise would change: «0:20 longer; lies better; works on tuning too, not on legato». */
export function insteadInWords({ longer, strain, served, gains, loses }: Instead): string {
  const seconds = Math.abs(Math.round(longer));
  const time =
    seconds < 5 ? 'as long' : `${lengthInFigures(seconds)} ${longer > 0 ? 'longer' : 'shorter'}`;
  const wishes = [
    ...(gains.length > 0 ? [`works on ${listInWords(gains)} too`] : []),
    ...(loses.length > 0
      ? [`${gains.length > 0 ? 'not' : 'no longer works'} on ${listInWords(loses)}`]
      : []),
  ];
  const much = Math.abs(served) >= 1 && wishes.length === 0;
  return [
    time,
    ...(strain === 0 ? [] : [strain > 0 ? 'lies less well' : 'lies better']),
    ...(wishes.length > 0 ? [wishes.join(', ')] : []),
    ...(much ? [`${served > 0 ? 'more' : 'less'} of what is wished for`] : []),
  ].join('; ');
}
