import { plainWords, syllablesOf, type Kind, type Music, type Purpose } from '@wide-fern/core';
import { kindWords } from './labels';

/** The words of one repetition: syllables joined, what is sung again and again said once. */
export function sungWords(music: Music): string {
  const syllables = syllablesOf(music);
  const once = syllables.filter((text, i) => text !== syllables[i - 1]);
  if (once.length <= 1) return once[0] ? `on ${once[0]}` : '';
  return once.join(' ').replaceAll('- ', '');
}

/** All that is searched of an exercise, ready to be compared. */
export const searchWords = (exercise: {
  readonly name: string;
  readonly figure: string;
  readonly purpose: string;
  readonly cue: string;
  readonly purposes: readonly Purpose[];
  readonly music: { readonly kind: Kind };
}): string =>
  plainWords(
    [
      exercise.name,
      exercise.figure,
      exercise.purpose,
      exercise.cue,
      exercise.purposes.join(' '),
      kindWords[exercise.music.kind],
    ].join(' '),
  );
