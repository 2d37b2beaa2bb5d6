import { soundsOfPasses, syllablesOf, type Music, type Passes } from '@wide-fern/core';
import { capitalise, counted, listInWords } from './counting';

/** The words of one repetition: syllables joined, what is sung again and again said once; what takes turns side by side. */
export function sungWords(music: Music, passes?: Passes): string {
  const turns = soundsOfPasses(passes);
  if (turns.length > 0) return `on ${listInWords(turns)} by turns`;
  const syllables = syllablesOf(music);
  const once = syllables.filter((text, i) => text !== syllables[i - 1]);
  if (once.length <= 1) return once[0] ? `on ${once[0]}` : '';
  return once.join(' ').replaceAll('- ', '');
}

/** «Two exercises came along that were not here.» */
export const broughtInWords = (count: number): string =>
  `${capitalise(counted(count, 'exercise', 'exercises'))} came along that ${count === 1 ? 'was' : 'were'} not here.`;
