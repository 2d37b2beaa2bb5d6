import type { Articulation, Dynamic, Music, Pass, Passes, Purpose } from '@wide-fern/core';

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
  readonly kind: Music['kind'];
  readonly passes: readonly PassDraft[];
  readonly passesOver: Passes['over'];
  readonly ask: string;
}

/** Whether there is a voice in it: only there sounds, loudness and touch can change, and times in a key. */
export const isVoiced = ({ kind }: Pick<PassesDraft, 'kind'>): boolean =>
  kind !== 'breath' && kind !== 'body';

/** What changes from pass to pass; undefined while nothing does. */
export function passesOf({ kind, passes, passesOver, ask }: PassesDraft): Passes | undefined {
  if (passes.length === 0) return undefined;
  const voiced = isVoiced({ kind });
  const each = passes.map((pass): Pass => {
    const { sounds, articulation, dynamic, serves, cue } = voiced
      ? pass
      : { ...emptyPass, serves: pass.serves, cue: pass.cue };
    const sung = wordsOf(sounds);
    return {
      ...(sung.length > 0 ? { sounds: sung } : {}),
      ...(articulation === '' ? {} : { articulation }),
      ...(dynamic === '' ? {} : { dynamic }),
      ...(serves === '' ? {} : { serves }),
      ...(cue.trim() === '' ? {} : { cue: cue.trim() }),
    };
  });
  return {
    over: voiced ? passesOver : 'keys',
    each,
    ...(ask.trim() === '' ? {} : { ask: ask.trim() }),
  };
}
