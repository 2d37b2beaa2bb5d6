import type { Articulation, Dynamic, Pass, Passes, Purpose } from '@wide-fern/core';

/** A pass while it is made: its sounds parted by blanks, and nothing chosen as an empty word. */
export interface PassDraft {
  readonly sounds: string;
  readonly articulation: Articulation | '';
  readonly dynamic: Dynamic | '';
  readonly serves: Purpose | '';
  readonly cue: string;
}
export const emptyPass: PassDraft = {
  ...{ sounds: '', articulation: '', dynamic: '', serves: '', cue: '' },
};

/** A pass as it is shown in the form. */
export const passDraft = ({ sounds, articulation, dynamic, serves, cue }: Pass): PassDraft => ({
  sounds: sounds?.join(' ') ?? '',
  articulation: articulation ?? '',
  dynamic: dynamic ?? '',
  serves: serves ?? '',
  cue: cue ?? '',
});

/** The words of a text, parted by blanks. */
export const wordsOf = (text: string): string[] => text.split(/\s+/).filter((word) => word !== '');

/** What of a form tells what changes. */
interface PassesDraft {
  readonly passes: readonly PassDraft[];
  readonly passesOver: Passes['over'];
  readonly ask: string;
}

/** What changes from pass to pass; undefined while nothing does. */
export function passesOf({ passes, passesOver, ask }: PassesDraft): Passes | undefined {
  if (passes.length === 0) return undefined;
  const each = passes.map(({ sounds, articulation, dynamic, serves, cue }): Pass => {
    const sung = wordsOf(sounds);
    return {
      ...(sung.length > 0 ? { sounds: sung } : {}),
      ...(articulation === '' ? {} : { articulation }),
      ...(dynamic === '' ? {} : { dynamic }),
      ...(serves === '' ? {} : { serves }),
      ...(cue.trim() === '' ? {} : { cue: cue.trim() }),
    };
  });
  return { over: passesOver, each, ...(ask.trim() === '' ? {} : { ask: ask.trim() }) };
}
