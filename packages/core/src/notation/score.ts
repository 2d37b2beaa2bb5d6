import type { Repetition, Sounding } from '../fit/sounding';
import { isPitched, type Metre, type Music, type PitchedMusic } from '../exercise/music';
import { accompanying, type Accompaniment, type UnderKey } from '../exercise/accompaniment';
import { beatsOf } from '../exercise/music';
import { partLines, type PartLine } from '../exercise/partLines';
import { lineInPass, withFurther } from '../exercise/passes';
import { turnsOfLines } from '../exercise/roles';
import { differingTimes, passIn, singleKey, type Ways } from '../exercise/single';
import type { Mode } from '../pitch';

import type { Beats, BeatsPerMinute, MidiNote, PitchRange, Semitones } from '../units';
import { clefOfPart, type Clef } from './clef';

/** Who reads a line of a score, and from which clef. */
export interface ScorePart {
  readonly id: string;
  readonly name: string;
  readonly clef: Clef;
}

/** One key of a score: its tonic in the treble octave and every part's line, in the score's order. */
export interface ScoreKey {
  readonly tonic: MidiNote;
  /**
   * As it is sung there the first time, with the words of further times under them; where lines go round,
   * one time after the other.
   */
  readonly lines: readonly PartLine[];
  /** Each time in this key, where they differ; behind the last comes the first again. */
  readonly verses?: readonly (readonly PartLine[])[];
  /** What the instrument plays under each time. */
  readonly under?: readonly UnderKey[];
  /** Whether no chord leads to it. */
  readonly unled?: boolean;
}

/** An exercise written out in one key or more: what is engraved, heard and handed on. */
export interface Score {
  readonly title: string;
  readonly tempo: BeatsPerMinute;
  readonly mode: Mode;
  readonly metre?: Metre | undefined;
  readonly parts: readonly ScorePart[];
  readonly keys: readonly ScoreKey[];
  /** From the end of one key to the beginning of the next. */
  readonly between: Beats;
}

/** A part as a score needs it. */
export interface ScoreSection {
  readonly id: string;
  readonly many: string;
  readonly octave: Semitones;
  readonly comfort: PitchRange;
}

interface Written extends Ways {
  readonly name: string;
  readonly music: Music;
  readonly breathBeats: Beats;
  readonly keyChangeBeats: Beats;
  readonly accompaniment?: Accompaniment | undefined;
  /** How often in each key; once where it is not said. */
  readonly verses?: number | undefined;
}

/** Each part's lines one after the other, with so many beats to breathe between them. */
function oneAfterTheOther(
  verses: readonly (readonly PartLine[])[],
  breathBeats: Beats,
): PartLine[] {
  const breath = breathBeats > 0 ? [{ midi: null, beats: breathBeats }] : [];
  return verses[0]!.map(({ part }, place) => ({
    part,
    events: verses.flatMap((lines, i) => [...(i > 0 ? breath : []), ...lines[place]!.events]),
  }));
}

/** One key as it is written: its lines in the passes sung there, and what the instrument plays. */
function scoreKey(
  written: Written,
  tonic: MidiNote,
  soundings: readonly Sounding[],
  key: number,
): ScoreKey {
  const { music, accompaniment, linesInTurn } = written;
  const played = singleKey(written, key)?.played;
  const under = {
    ...(accompaniment && !played
      ? { under: accompanying(accompaniment, tonic, beatsOf(music)) }
      : {}),
    ...(played === 'nothing' ? { unled: true } : {}),
  };
  const inPass = (verse: number) =>
    partLines(music, soundings, linesInTurn ? verse : 0).map((line) =>
      lineInPass(line, passIn(written, key, verse)),
    );
  const sung = written.verses ?? 1;
  if (linesInTurn && sung > 1 && turnsOfLines(music, soundings.length) > 1) {
    const verses = Array.from({ length: sung }, (_, verse) => inPass(verse));
    return { tonic, lines: oneAfterTheOther(verses, written.breathBeats), verses, ...under };
  }
  const times = differingTimes(written, sung);
  if (times === 1) return { tonic, lines: inPass(0), ...under };
  const verses = Array.from({ length: times }, (_, verse) => inPass(verse));
  const shown = verses[0]!.map((line, part) =>
    withFurther(
      line,
      verses.slice(1).map((verse) => verse[part]!),
    ),
  );
  return { tonic, lines: shown, verses, ...under };
}

const headOf = (exercise: Written, music: PitchedMusic, tempo: BeatsPerMinute) => ({
  title: exercise.name,
  tempo,
  mode: music.mode,
  metre: 'metre' in music ? music.metre : undefined,
  between: exercise.breathBeats + exercise.keyChangeBeats,
});

/**
 * The score of a choir: a line for each section in the given keys. Undefined for what has no pitch.
 * @param repetitions the keys, as a computed segment has them
 */
export function choirScore(
  exercise: Written,
  tempo: BeatsPerMinute,
  sections: readonly ScoreSection[],
  repetitions: readonly Repetition[],
): Score | undefined {
  const { music } = exercise;
  if (!isPitched(music)) return undefined;
  return {
    ...headOf(exercise, music, tempo),
    parts: sections.map((section) => ({
      id: section.id,
      name: section.many,
      clef: clefOfPart(section),
    })),
    keys: repetitions.flatMap(({ tonic, parts }, i) =>
      tonic === undefined || parts.length === 0 ? [] : [scoreKey(exercise, tonic, parts, i)],
    ),
  };
}

/** How many lines the music itself has, whoever sings it. */
function ownLines(music: PitchedMusic): number {
  switch (music.kind) {
    case 'lines':
      return music.lines.length;
    case 'round':
      return music.entries;
    case 'chord':
      return music.tones.length;
    case 'drone':
      return music.holders === 'all' ? 1 : 2;
    default:
      return 1;
  }
}

const noFit = { low: 0, high: 0, roomAbove: 0, roomBelow: 0, state: 'comfortable' } as const;

/**
 * The score of the music alone, in treble clef on the given tonics, whoever will sing it: as many
 * lines as it has, the highest first. Undefined for what has no pitch.
 */
export function plainScore(
  exercise: Written,
  tempo: BeatsPerMinute,
  tonics: readonly MidiNote[],
): Score | undefined {
  const { music } = exercise;
  if (!isPitched(music)) return undefined;
  const count = ownLines(music);
  const places = Array.from({ length: count }, (_, i) => i);
  const sounding = (tonic: MidiNote, place: number): Sounding => ({
    part: `L${place + 1}`,
    does: 'sing',
    fit: noFit,
    tonic: music.kind === 'chord' ? tonic + [...music.tones].sort((a, b) => b - a)[place]! : tonic,
    away: 0,
  });
  return {
    ...headOf(exercise, music, tempo),
    parts: places.map((place) => ({
      id: `L${place + 1}`,
      name: count === 1 ? 'Line' : `Line ${place + 1}`,
      clef: 'treble',
    })),
    keys: tonics.map((tonic, i) => {
      const soundings = places.map((place) => sounding(tonic, place));
      return scoreKey(exercise, tonic, soundings, i);
    }),
  };
}

/** What the instrument's staff is called by, where letters of parts stand. */
const instrumentId = 'play';
/** And a line that all sing above it. */
const allId = 'all';

/** The score with what the instrument plays on a staff of its own below; as it is where nothing is played. */
export function withInstrument(score: Score): Score {
  if (!score.keys.some(({ under }) => under)) return score;
  return {
    ...score,
    parts: [
      ...(score.parts.length === 1
        ? score.parts.map((part) => ({ ...part, id: allId }))
        : score.parts),
      { id: instrumentId, name: 'Instrument', clef: 'bass' },
    ],
    keys: score.keys.map(({ under = [], lines, ...key }) => ({
      ...key,
      lines: [
        ...lines,
        {
          part: instrumentId,
          events: under.map(({ midis: [midi, ...above], beats }) => ({
            midi: midi!,
            above,
            beats,
          })),
        },
      ],
    })),
  };
}

/** What a line sings, wherever it lies: steps from its first note, lengths and words. */
function shapeOf({ events }: PartLine): string {
  const first = events.find(({ midi }) => midi !== null)?.midi ?? 0;
  return JSON.stringify(
    events.map(({ midi, beats, syllable }) => [
      midi === null ? null : midi - first,
      beats,
      syllable,
    ]),
  );
}

/** One key of a score with every line once that several parts sing alike: by the highest that sings it. */
export function oncePerLine(score: Score, key: number): Score {
  const sung = score.keys[key];
  if (!sung) return { ...score, keys: [] };
  const singing = sung.lines.filter(({ events }) => events.some(({ midi }) => midi !== null));
  const seen = new Set<string>();
  const lines = singing.filter((line) => {
    const shape = shapeOf(line);
    const isNew = !seen.has(shape);
    seen.add(shape);
    return isNew;
  });
  const shown = new Set(lines.map(({ part }) => part));
  return {
    ...score,
    parts: score.parts.filter(({ id }) => shown.has(id)),
    keys: [{ ...sung, lines }],
  };
}
