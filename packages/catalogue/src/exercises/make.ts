import type { Exercise } from '@wide-fern/contract';
import { cautions } from '@wide-fern/words';
import {
  cautionsNeeded,
  hasKeys,
  readLine,
  readMovement,
  type Anchor,
  type Metre,
  type Movement,
  type Mode,
  type Music,
  type PatternEvent,
  type Phase,
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

type Draft = Omit<Exercise, Optional | 'usual' | 'phase' | 'substitutes' | 'watchFor'> &
  Partial<Pick<Exercise, Optional>> & {
    readonly usual?: Partial<Exercise['usual']>;
    /** What to watch for, and behind a bar what helps: «Locked knees | Let them give.» */
    readonly watchFor: readonly string[];
    /** When it does not work, and what to do instead. */
    readonly substitutes: readonly (readonly [when: string, exercise: string])[];
  };

/** Makes the exercises of one phase: the usual figures where nothing else is said, and the cautions that what is done in them needs. */
export const inPhase =
  (phase: Phase) =>
  (draft: Draft): Exercise => {
    const counted = hasKeys(draft.music) || draft.music.kind === 'spoken';
    const whole = {
      version: 1,
      phase,
      anchor: 'middle' as Anchor,
      needs: [],
      effort: 1,
      difficulty: 1,
      countIn: counted ? 4 : 0,
      breathBeats: counted ? 2 : 0,
      keyChangeBeats: counted ? 2 : 0,
      ...draft,
      watchFor: draft.watchFor.map((line) => {
        const [see = '', help = ''] = line.split(' | ');
        return { see, help };
      }),
      substitutes: draft.substitutes.map(([when, exercise]) => ({ when, exercise })),
      usual: {
        talk: 15,
        demonstrate: 'no' as const,
        tempo: 84,
        repetitions: 5,
        verses: 1,
        shape: 'up' as const,
        step: 1,
        ...draft.usual,
      },
    };
    const needed = cautionsNeeded(whole).map((name) => cautions[name]);
    return { ...whole, cautions: [...new Set([...(draft.cautions ?? []), ...needed])] };
  };

/** The events of a typed line; a line that cannot be read is a mistake in the catalogue. */
export function typed(text: string, mode: Mode = 'major'): PatternEvent[] {
  const read = readLine(text, mode);
  if (read.kind === 'problem') throw new Error(`${text}, at ${read.at}: ${read.code}`);
  return [...read.events];
}

/** Lays syllables, parted by blanks, under the notes of a line, one each. */
export function withSyllables(events: readonly PatternEvent[], syllables: string): PatternEvent[] {
  const texts = syllables.split(' ');
  return events.map((event) => {
    if ('rest' in event) return event;
    const syllable = texts.shift();
    return syllable === undefined ? event : { ...event, syllable };
  });
}

/** A line for all parts, as it is typed. */
export const line = (text: string, mode: Mode = 'major', metre?: Metre): Music => ({
  kind: 'pattern',
  mode,
  ...(metre ? { metre } : {}),
  notes: typed(text, mode),
});

/** A slide through offsets, each reached after so many beats. */
export const slide = (
  syllable: string,
  from: number,
  ...to: readonly (readonly [offset: number, beats: number])[]
): Music => ({
  kind: 'glide',
  mode: 'major',
  points: [{ offset: from, beats: 0 }, ...to.map(([offset, beats]) => ({ offset, beats }))],
  syllable,
});

const none = { in: 0, hold: 0, out: 0, rest: 0 };

/** Counted breath: the first round's counts, and what each further round adds. */
export const breath = (
  outOn: string,
  counts: Partial<typeof none>,
  growing: Partial<typeof none> = {},
): Music => ({
  kind: 'breath',
  ...none,
  ...counts,
  increment: { ...none, ...growing },
  outOn,
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

export const spoken = (beats: number, ...lines: readonly string[]): Music => ({
  kind: 'spoken',
  lines,
  beats,
});

/** One held note through its syllables. */
export const hold = (beats: number, syllables: string): Music => ({
  kind: 'hold',
  mode: 'major',
  beats,
  syllables: syllables.split(' '),
});
