import type { Exercise } from '@wide-fern/contract';
import type { PatternEvent } from '@wide-fern/core';

type Optional =
  | 'version'
  | 'steps'
  | 'watchFor'
  | 'substitutes'
  | 'needs'
  | 'cautions'
  | 'countIn'
  | 'breathBeats'
  | 'keyChangeBeats';

type Draft = Omit<Exercise, Optional | 'usual'> &
  Partial<Pick<Exercise, Optional>> & { readonly usual?: Partial<Exercise['usual']> };

/** An exercise with the usual figures where nothing else is said. */
export const exercise = (draft: Draft): Exercise => ({
  version: 1,
  steps: [],
  watchFor: [],
  substitutes: [],
  needs: [],
  cautions: [],
  countIn: 4,
  breathBeats: 2,
  keyChangeBeats: 2,
  ...draft,
  usual: {
    talk: 15,
    demonstrate: false,
    tempo: 84,
    repetitions: 5,
    verses: 1,
    shape: 'up',
    step: 1,
    ...draft.usual,
  },
});

/**
 * The notes of a line: offsets with their beats, the same for all or one each, and syllables
 * parted by blanks.
 */
export function line(
  offsets: readonly number[],
  beats: number | readonly number[],
  syllables = '',
): PatternEvent[] {
  const texts = syllables.split(' ').filter((text) => text !== '');
  return offsets.map((offset, i) => {
    const syllable = texts[i];
    return {
      offset,
      beats: typeof beats === 'number' ? beats : (beats[i] ?? 1),
      ...(syllable === undefined ? {} : { syllable }),
    };
  });
}
