import type { Repetition, Sounding } from '../fit/sounding';
import { isPitched, type Metre, type Music, type PitchedMusic } from '../exercise/music';
import { partLines, type PartLine } from '../exercise/partLines';
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
  readonly lines: readonly PartLine[];
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

interface Written {
  readonly name: string;
  readonly music: Music;
  readonly breathBeats: Beats;
  readonly keyChangeBeats: Beats;
  /** Vowels that take turns from key to key. */
  readonly vowels?: readonly string[] | undefined;
}

/** The lines of a key on the vowel whose turn it is: it stands where the first syllable stood. */
function inTurn(
  lines: readonly PartLine[],
  vowels: readonly string[] | undefined,
  key: number,
): readonly PartLine[] {
  const vowel = vowels?.[key % vowels.length];
  if (vowel === undefined) return lines;
  return lines.map(({ part, events }) => {
    const first = events.findIndex(({ midi }) => midi !== null);
    return {
      part,
      events: events.map((event, i) => (i === first ? { ...event, syllable: vowel } : event)),
    };
  });
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
      tonic === undefined || parts.length === 0
        ? []
        : [{ tonic, lines: inTurn(partLines(music, parts), exercise.vowels, i) }],
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
    keys: tonics.map((tonic) => ({
      tonic,
      lines: partLines(
        music,
        places.map((place) => sounding(tonic, place)),
      ),
    })),
  };
}
