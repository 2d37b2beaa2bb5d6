import type { Exercise } from '@wide-fern/contract';
import { writeWatched } from '@wide-fern/words';
import {
  degreesOfText,
  writeChords,
  writeDegree,
  writeLine,
  writeSlide,
  writeMovement,
  type Age,
  type Anchor,
  type Breathing,
  type Demonstration,
  type Holders,
  type Kind,
  type Metre,
  type Mode,
  type Music,
  type Passes,
  type PlaceNeed,
  type PatternEvent,
  type Phase,
  type Purpose,
  type Shape,
} from '@wide-fern/core';

import { furtherOf, nothingFurther, type Further } from './further';
import { passDraft, type PassDraft } from './passes';

/** The counts of breath: the first round's, and what each further round adds. */
export type CountRow = Readonly<Record<'in' | 'hold' | 'out' | 'rest', number>>;

/** An exercise while it is made: what is typed stays as it is typed, right or wrong. */
export interface ExerciseDraft {
  readonly name: string;
  readonly figure: string;
  readonly phase: Phase;
  readonly anchor: Anchor;
  readonly purposes: readonly Purpose[];
  readonly purpose: string;
  readonly cue: string;
  readonly image: string;
  /** One a line. */
  readonly steps: string;
  readonly watchFor: string;
  readonly substitutes: Exercise['substitutes'];
  readonly effort: number;
  readonly difficulty: number;
  readonly needs: readonly PlaceNeed[];
  readonly ages: readonly Age[];
  readonly relay: string;
  /** The piece and bars it is from; nothing anybody types. */
  readonly source: Exercise['source'];
  readonly aim: Exercise['aim'];
  /** What changes from pass to pass; none, or two and more. */
  readonly passes: readonly PassDraft[];
  readonly passesOver: Passes['over'];
  readonly ask: string;
  /** What the instrument plays under it: notes it holds or chords it plays, each as it is typed. */
  readonly played: 'nothing' | 'drone' | 'chords';
  readonly playedTones: string;
  readonly playedChords: string;
  readonly cautions: readonly string[];
  readonly countIn: number;
  readonly breathBeats: number;
  readonly keyChangeBeats: number;
  readonly talk: number;
  readonly tempo: number;
  readonly repetitions: number;
  readonly verses: number;
  readonly shape: Shape;
  readonly step: number;
  readonly bySteps: boolean;
  readonly tempoStep: number;
  readonly coach: number;
  readonly after: number;
  readonly demonstration: Demonstration;
  readonly breathing: Breathing;
  /** What most exercises do without. */
  readonly further: Further;
  readonly keys: Exercise['keys'];
  readonly kind: Kind;
  readonly mode: Mode;
  readonly metre: Metre | null;
  /** The line of a pattern or a round, and what moves over a drone. */
  readonly line: string;
  /** A line for each part, the highest first. */
  readonly lines: readonly string[];
  readonly entries: number;
  readonly apart: number;
  /** The held note of a drone, as a step. */
  readonly held: string;
  readonly holders: Holders;
  readonly overText: boolean;
  /** What is said, or sung on one pitch; one line each. */
  readonly text: string;
  readonly textBeats: number;
  /** The steps a text is sung on over a drone, one time each. */
  readonly textOn: string;
  /** How many enter in canon at last; none below two. */
  readonly canonEntries: number;
  readonly canonApart: number;
  /** A slide: where it begins, then each place with the beats to get there. */
  readonly slide: string;
  /** The tones of a chord, as steps. */
  readonly tones: string;
  readonly enterApart: number;
  readonly syllable: string;
  /** The syllables of a held note, parted by blanks. */
  readonly syllables: string;
  readonly beats: number;
  readonly counts: CountRow;
  readonly growing: CountRow;
  readonly outOn: string;
  /** Moves, one a line. */
  readonly moves: string;
  readonly moveSeconds: number;
}

/** What a new exercise begins with. */
export const emptyDraft: ExerciseDraft = {
  name: '',
  figure: '',
  phase: 'range',
  anchor: 'middle',
  purposes: [],
  purpose: '',
  cue: '',
  image: '',
  steps: '',
  watchFor: '',
  substitutes: [],
  effort: 2,
  difficulty: 1,
  needs: [],
  ages: [],
  relay: '',
  source: undefined,
  aim: undefined,
  passes: [],
  passesOver: 'keys',
  ask: '',
  played: 'nothing',
  playedTones: '1 5',
  playedChords: '1 3 5 : 4 | 4 6 8 : 4',
  cautions: [],
  countIn: 4,
  breathBeats: 2,
  keyChangeBeats: 2,
  talk: 15,
  tempo: 84,
  repetitions: 5,
  verses: 1,
  shape: 'up',
  step: 1,
  bySteps: false,
  tempoStep: 0,
  coach: 0,
  after: 0,
  demonstration: 'no',
  breathing: 'together',
  further: nothingFurther,
  keys: undefined,
  kind: 'pattern',
  mode: 'major',
  metre: null,
  line: '1 2 3 4 5:2 4 3 2 1:2',
  lines: ['3 4 5:2', '1 2 1:2'],
  entries: 2,
  apart: 4,
  held: '1',
  holders: 'lowest',
  overText: false,
  text: '',
  textBeats: 8,
  textOn: '1',
  canonEntries: 0,
  canonApart: 4,
  slide: '1 5:3 1:3',
  tones: '1 3 5',
  enterApart: 0,
  syllable: 'noo',
  syllables: 'noo',
  beats: 8,
  counts: { in: 4, hold: 0, out: 8, rest: 2 },
  growing: { in: 0, hold: 0, out: 0, rest: 0 },
  outOn: 's',
  moves: '',
  moveSeconds: 8,
};

/** What is made of an exercise's music in the fields of a draft. */
function musicFields(music: Music): Partial<ExerciseDraft> {
  const line = (notes: readonly PatternEvent[], mode: Mode) => writeLine(notes, mode);
  switch (music.kind) {
    case 'pattern':
      return { line: line(music.notes, music.mode) };
    case 'lines':
      return { lines: music.lines.map((one) => line(one, music.mode)) };
    case 'round':
      return { line: line(music.notes, music.mode), entries: music.entries, apart: music.apart };
    case 'drone': {
      const { over, held, holders, syllable, mode } = music;
      const common = { held: writeDegree(held, mode), holders, syllable };
      return over.kind === 'line'
        ? { ...common, overText: false, line: line(over.notes, mode) }
        : {
            ...common,
            overText: true,
            text: over.lines.join('\n'),
            textBeats: over.beats,
            textOn: degreesOfText(over)
              .map((degree) => writeDegree(degree, mode))
              .join(' '),
            canonEntries: over.canon?.entries ?? 0,
            canonApart: over.canon?.apart ?? emptyDraft.canonApart,
          };
    }
    case 'glide':
      return { slide: writeSlide(music.points, music.mode), syllable: music.syllable };
    case 'hold':
      return { syllables: music.syllables.join(' '), beats: music.beats };
    case 'chord':
      return {
        tones: music.tones.map((tone) => writeDegree(tone, music.mode)).join(' '),
        beats: music.beats,
        syllable: music.syllable,
        enterApart: music.apart ?? 0,
      };
    case 'breath': {
      const { in: into, hold, out, rest, increment, outOn } = music;
      return { counts: { in: into, hold, out, rest }, growing: increment, outOn };
    }
    case 'spoken':
      return { text: music.lines.join('\n'), textBeats: music.beats };
    case 'body': {
      const moveSeconds = music.moves[0]?.seconds ?? emptyDraft.moveSeconds;
      const lines = music.moves.map((move) => writeMovement(move, moveSeconds));
      return { moves: lines.join('\n'), moveSeconds };
    }
  }
}

/** How it is usually led, as the form has it. */
function shownChoices(usual: Exercise['usual']): Partial<ExerciseDraft> {
  const { talk, tempo, repetitions, verses, shape, step, demonstrate } = usual;
  const { bySteps = false, tempoStep = 0, coach = 0, after = 0 } = usual;
  return {
    ...{ talk, tempo, repetitions, verses, shape, step, bySteps, tempoStep, coach, after },
    demonstration: demonstrate,
  };
}

/** What the instrument plays, as it is typed. */
function playedFields(
  accompaniment: Exercise['accompaniment'],
  mode: Mode,
): Partial<ExerciseDraft> {
  if (!accompaniment) return {};
  return accompaniment.kind === 'drone'
    ? {
        played: 'drone',
        playedTones: accompaniment.tones.map((tone) => writeDegree(tone, mode)).join(' '),
      }
    : { played: 'chords', playedChords: writeChords(accompaniment.chords, mode) };
}

/** An exercise as a draft, to be changed. */
export function draftOf(exercise: Exercise): ExerciseDraft {
  const { music, usual, ages, relay, passes, keys, steps, watchFor, ...same } = exercise;
  const { name, figure, phase, purposes, purpose, cue, substitutes, effort, difficulty } = same;
  return {
    ...emptyDraft,
    name,
    figure,
    phase,
    purposes,
    purpose,
    cue,
    substitutes,
    effort,
    difficulty,
    needs: same.needs,
    cautions: same.cautions,
    countIn: same.countIn,
    breathBeats: same.breathBeats,
    keyChangeBeats: same.keyChangeBeats,
    steps: steps.join('\n'),
    watchFor: watchFor.map(writeWatched).join('\n'),
    ages: ages ?? [],
    relay: relay ?? '',
    source: same.source,
    aim: same.aim,
    passes: passes?.each.map(passDraft) ?? [],
    passesOver: passes?.over ?? 'keys',
    ask: passes?.ask ?? '',
    ...playedFields(same.accompaniment, 'mode' in music ? music.mode : 'major'),
    keys,
    anchor: same.anchor,
    image: same.image ?? '',
    breathing: same.breathing ?? 'together',
    ...shownChoices(usual),
    further: furtherOf(exercise),
    kind: music.kind,
    ...('mode' in music ? { mode: music.mode } : {}),
    metre: ('metre' in music ? music.metre : undefined) ?? null,
    ...musicFields(music),
  };
}

/** Music from elsewhere as a draft; all that is to be said of it is still open. */
export const draftOfMusic = (
  name: string,
  music: Music,
  tempo: number | undefined,
): ExerciseDraft => ({
  ...emptyDraft,
  name: name.slice(0, 60),
  kind: music.kind,
  ...('mode' in music ? { mode: music.mode } : {}),
  metre: ('metre' in music ? music.metre : undefined) ?? null,
  ...(tempo === undefined ? {} : { tempo: Math.min(240, Math.max(20, tempo)) }),
  ...musicFields(music),
});
