import type { Exercise, PieceMark } from '@wide-fern/contract';
import {
  type Section,
  idFromName,
  type Excerpt,
  type ExcerptForm,
  type ExcerptWords,
  type Purpose,
} from '@wide-fern/core';
import { barsInWords } from '@wide-fern/words';

/** How bars are made into an exercise. */
export interface Making {
  readonly form: ExcerptForm;
  /** The part whose line is taken when all sing one line. */
  readonly part: string;
  readonly words: 'own' | 'noo' | 'lip trill' | 'text';
  readonly text: string;
  /** In beats of the metre. */
  readonly tempo: number;
  readonly name: string;
}

/** Words of one's own, syllable by syllable: words by blanks, syllables by hyphens. */
export const syllablesOf = (text: string): string[] =>
  text
    .trim()
    .split(/\s+/)
    .flatMap((word) => word.split(/(?<=-)/))
    .filter((syllable) => syllable !== '')
    .map((syllable) => syllable.slice(0, 40));

/** What is sung on, as the excerpt wants it. */
export function wordsOf({ words, text }: Pick<Making, 'words' | 'text'>): ExcerptWords {
  switch (words) {
    case 'own':
      return { kind: 'own' };
    case 'noo':
      return { kind: 'syllable', text: 'noo' };
    case 'lip trill':
      return { kind: 'syllable', text: 'brr', bound: true };
    case 'text':
      return { kind: 'text', syllables: syllablesOf(text) };
  }
}

const onWords = ({ words, text }: Making): string => {
  if (words === 'own') return 'its own words';
  if (words === 'text') return `“${text.trim()}”`;
  return words === 'noo' ? 'noo' : 'a lip trill';
};

const formWords: Readonly<Record<ExcerptForm, string>> = {
  line: 'one line for all',
  parts: 'each part its own line',
  chords: 'chord by chord',
};

/** The skills that marks name for some bars; legato where they name none. */
export function purposesOf(
  marks: readonly PieceMark[],
  from: number,
  to: number,
): [Purpose, ...Purpose[]] {
  const named = marks
    .filter(({ fromBar, toBar }) => fromBar <= to && toBar >= from)
    .map(({ skill }) => skill);
  const [first = 'legato', ...others] = [...new Set(named)];
  return [first, ...others.slice(0, 5)];
}

/** The exercise that bars of a piece become: of the phase «into the piece», linked to where it is from. */
export function exerciseOf(
  excerpt: Excerpt,
  making: Making,
  of: {
    readonly piece: string;
    readonly title: string;
    readonly from: number;
    readonly to: number;
    readonly marks: readonly PieceMark[];
    readonly sections: readonly Section[];
    /** Who has the trouble there, and how much higher than written it is sung. */
    readonly troubled: string | undefined;
    readonly transpose: number;
  },
): Exercise {
  const { title, from, to, sections } = of;
  const where = barsInWords(from, to);
  const slower = Math.round(excerpt.tempo - making.tempo);
  const pace = slower > 0 ? `${slower} beats a minute slower` : 'at its own pace';
  const parts = making.form === 'line' ? [making.part] : sections.map(({ id }) => id);
  const shortTitle = title.length > 60 ? `${title.slice(0, 59)}…` : title;
  return {
    id: idFromName(making.name),
    version: 1,
    name: making.name.trim().slice(0, 60),
    figure: `${where}, ${formWords[making.form]}`.slice(0, 80),
    phase: 'piece',
    anchor: 'top',
    purposes: purposesOf(of.marks, from, to),
    purpose: `This is ${where} of “${shortTitle}”, ${pace}, on ${onWords(making)}.`.slice(0, 200),
    cue: `As in ${where}, with more room.`,
    steps: [],
    watchFor: [],
    substitutes: [],
    effort: 2,
    difficulty: 2,
    needs: [],
    cautions: [],
    music: excerpt.music,
    countIn: 2,
    breathBeats: Math.min(16, excerpt.breathBeats),
    keyChangeBeats: 2,
    usual: {
      talk: 20,
      demonstrate: 'no',
      tempo: making.tempo,
      repetitions: 3,
      verses: 1,
      shape: 'up',
      step: 1,
    },
    ...(of.troubled !== undefined
      ? {
          aim: {
            part: making.form === 'line' ? making.part : of.troubled,
            tonic: excerpt.tonic + of.transpose,
          },
        }
      : {}),
    source: { piece: of.piece, title: title.slice(0, 120), fromBar: from, toBar: to, parts },
  };
}
