import type { Exercise } from '@wide-fern/contract';
import { cautions } from '@wide-fern/words';
import {
  beatsOf,
  cautionsNeeded,
  hasKeys,
  readMovement,
  type Anchor,
  type Beats,
  type Metre,
  type Movement,
  type Music,
  type Phase,
  type Substituting,
} from '@wide-fern/core';

type Optional =
  | 'version'
  | 'anchor'
  | 'needs'
  | 'cautions'
  | 'countIn'
  | 'breathBeats'
  | 'keyChangeBeats'
  | 'effort'
  | 'difficulty';

export type Draft = Omit<
  Exercise,
  Optional | 'usual' | 'phase' | 'substitutes' | 'watchFor' | 'family'
> &
  Partial<Pick<Exercise, Optional>> & {
    readonly usual?: Partial<Exercise['usual']>;
    /** What to watch for, and behind a bar what helps: «Locked knees | Let them give.» */
    readonly watchFor: readonly string[];
    /** When it does not work, what to do instead, and who, where the others go on. */
    readonly substitutes: readonly (readonly [
      when: string,
      exercise: string,
      who?: Substituting,
    ])[];
    /** The family it belongs to, and which of its ways it is. */
    readonly family?: readonly [id: string, variant: string];
  };

/** The breath after so many beats, and the change of key: both fill whole bars; one beat at least to breathe. */
function fillBars(beats: Beats, metre: Metre): { breathBeats: Beats; keyChangeBeats: Beats } {
  const over = beats % metre.beats;
  const breathBeats = metre.beats - over;
  return {
    breathBeats: breathBeats < 1 ? breathBeats + metre.beats : breathBeats,
    keyChangeBeats: metre.beats,
  };
}

/** The beats around a repetition where nothing else is said. */
function usualBeats(music: Music): Pick<Exercise, 'countIn' | 'breathBeats' | 'keyChangeBeats'> {
  const metre = 'metre' in music ? music.metre : undefined;
  if (metre) return { countIn: metre.beats, ...fillBars(beatsOf(music), metre) };
  const counted = hasKeys(music) || music.kind === 'spoken';
  return counted
    ? { countIn: 4, breathBeats: 2, keyChangeBeats: 2 }
    : { countIn: 0, breathBeats: 0, keyChangeBeats: 0 };
}

/**
 * Said of an exercise in the fewest words, and what it really takes when they are said to a room: half of all
 * explanations of something known take 20 s and more (docs/model.md, section 6).
 */
const shortest = 15;
const unhurried = 8;

/** Makes the exercises of one phase: the usual figures where nothing else is said, and the cautions that what is done in them needs. */
export const inPhase =
  (phase: Phase) =>
  ({ family, ...draft }: Draft): Exercise => {
    const whole = {
      version: 1,
      phase,
      anchor: 'middle' as Anchor,
      needs: [],
      effort: 1,
      difficulty: 1,
      ...usualBeats(draft.music),
      ...draft,
      ...(family ? { family: { id: family[0], variant: family[1] } } : {}),
      watchFor: draft.watchFor.map((line) => {
        const [see = '', help = ''] = line.split(' | ');
        return { see, help };
      }),
      substitutes: draft.substitutes.map(([when, exercise, who]) => ({
        when,
        exercise,
        ...(who ? { who } : {}),
      })),
      usual: {
        demonstrate: 'no' as const,
        tempo: 84,
        repetitions: 5,
        verses: 1,
        shape: 'up' as const,
        step: 1,
        ...draft.usual,
        talk: (draft.usual?.talk ?? shortest) + unhurried,
      },
    };
    const needed = cautionsNeeded(whole).map((name) => cautions[name]);
    return { ...whole, cautions: [...new Set([...(draft.cautions ?? []), ...needed])] };
  };

const none = { in: 0, hold: 0, out: 0, rest: 0 };

/** Counted breath: the first round's counts, and what each further round adds or takes away. */
export const breath = (
  outOn: string,
  counts: Partial<typeof none>,
  growing: Partial<typeof none> = {},
  more: Partial<Omit<Extract<Music, { kind: 'breath' }>, 'kind' | 'increment' | 'outOn'>> = {},
): Music => ({
  kind: 'breath',
  ...none,
  ...counts,
  increment: { ...none, ...growing },
  outOn,
  ...more,
});

/** Moves one after the other, each as it is typed; so long where a move does not say. */
export const moves = (seconds: number, ...list: readonly string[]): Music => ({
  kind: 'body',
  moves: list.map((text): Movement => {
    const read = readMovement(text, seconds);
    if (read.kind === 'problem') throw new Error(`${text}: ${read.word}`);
    return read.movement;
  }),
});
