import { partName } from './score/partName';
import type { MidiNote, PitchRange, Seconds, Semitones } from '../units';
import type { Metre } from '../exercise/music';
import {
  comfortStatistics,
  pieceStatistics,
  barDifficulty,
  sungPart,
  type BarDifficulty,
  type ComfortStatistics,
  type PartStatistics,
} from './figures';
import {
  beatsAMinute,
  performanceOrder,
  partsOfScore,
  type Mapping,
  type PartMusic,
} from './music';
import { inForce, type KeyMark, type PieceScore } from './score/score';
import { linesOfStaff, notesOfLine, voicesOf, type Reading, type ScoreLine } from './score/lines';
import { guessParts, type Unsure } from './score/guess';
import { mergedDemands } from './mergedDemands';
import { demandsOf, type Demand } from './skills';

/** How a piece is sung: by whom, how fast, how high, on how long a breath. */
export interface PieceSetting {
  readonly mapping: readonly Mapping[];
  /** The sections, the highest first. */
  readonly sections: readonly { readonly id: string; readonly comfort: PitchRange }[];
  /** How much faster than written. */
  readonly pace: number;
  /** How much higher than written. */
  readonly transpose: Semitones;
  /** What is comfortable on one breath. */
  readonly phrase: Seconds;
}

/** What a piece asks of one part. */
export interface PartAnalysis {
  readonly part: string;
  readonly figures: PartStatistics;
  readonly comfort: ComfortStatistics;
  /** By the written bar's place in the score. */
  readonly difficulty: readonly BarDifficulty[];
  /** What is sung where it is highest. */
  readonly highestWords: string;
  /** Whether it sings in a written bar. */
  readonly sings: readonly boolean[];
}

/** What a piece asks of everyone, as it is sung. */
export interface PieceAnalysis {
  readonly parts: readonly PartAnalysis[];
  /** The written bars: their printed numbers and whether they count as bars of their own. */
  readonly bars: readonly { readonly number: number; readonly counted: boolean }[];
  readonly seconds: Seconds;
  readonly demands: readonly Demand[];
  /** In beats of the first metre, as written. */
  readonly tempo: number;
  /** As written; it is sung by `transpose` higher. */
  readonly key: KeyMark | undefined;
  readonly transpose: Semitones;
  readonly metre: Metre | undefined;
}

/** A part sung higher or lower than written. */
export function transposed(music: PartMusic, by: Semitones): PartMusic {
  if (by === 0) return music;
  return {
    part: music.part,
    lines: music.lines.map((notes) => notes.map((note) => ({ ...note, midi: note.midi + by }))),
  };
}

/** The words of the bars where a part is highest: from the syllables sung in them. */
function wordsAt(music: PartMusic, score: PieceScore, highest: MidiNote): string {
  const all = music.lines[0] ?? [];
  const bar = music.lines.flat().find(({ midi }) => midi === highest)?.bar;
  if (bar === undefined) return '';
  const number = score.bars[bar]?.number;
  const sung = all.flatMap(({ bar: place, syllables }) =>
    syllables?.[0] ? [{ words: syllables[0], isHere: score.bars[place]?.number === number }] : [],
  );
  let from = sung.findIndex(({ isHere }) => isHere);
  let to = sung.findLastIndex(({ isHere }) => isHere);
  if (from < 0) return '';
  // A word that began in the bar before, or goes on in the next, is told whole.
  while (from > 0 && sung[from - 1]!.words.endsWith('-')) from -= 1;
  while (to < sung.length - 1 && sung[to]!.words.endsWith('-')) to += 1;
  return joinSyllables(sung.slice(from, to + 1).map(({ words }) => words));
}

/** Syllables as words: those that end in a hyphen go on in the next. */
function joinSyllables(syllables: readonly string[]): string {
  return syllables.reduce((words, syllable) => {
    if (words.endsWith('-')) return words.slice(0, -1) + syllable;
    return words === '' ? syllable : `${words} ${syllable}`;
  }, '');
}

/** Everything a piece asks of the sections, as they sing it (docs/model.md, section 9). */
export function analysePiece(score: PieceScore, setting: PieceSetting): PieceAnalysis {
  const { mapping, sections, pace, transpose, phrase } = setting;
  const order = performanceOrder(score, pace);
  const musics = partsOfScore(
    score,
    mapping,
    sections.map(({ id }) => id),
  ).map((music) => transposed(music, transpose));
  const sung = musics.map((music) => sungPart(music, order));
  const comfortOf = (part: string) => sections.find(({ id }) => id === part)!.comfort;
  const parts = sung.flatMap((one, i): PartAnalysis[] => {
    const figures = pieceStatistics(one, score, order);
    if (!figures) return [];
    const comfort = comfortOf(one.part);
    const sings = score.bars.map(() => false);
    for (const { bar } of musics[i]!.lines.flat()) sings[bar] = true;
    return [
      {
        part: one.part,
        figures,
        comfort: comfortStatistics(one, comfort, score, order),
        difficulty: barDifficulty(one, { comfort, phrase, score, order }),
        highestWords: wordsAt(musics[i]!, score, figures.highest),
        sings,
      },
    ];
  });
  const bars = score.bars.map(({ number, counted }) => ({ number, counted }));
  const demands = demandsOf(
    sung.map((one) => ({ sung: one, comfort: comfortOf(one.part) })),
    phrase,
    score,
    order,
  );
  return {
    parts,
    bars,
    seconds: order.seconds,
    demands: mergedDemands(demands, { parts, bars }),
    tempo: beatsAMinute(score),
    key: inForce(score.keys, 0),
    transpose,
    metre: inForce(score.metres, 0)?.metre,
  };
}

/** A line of a score as the director is asked about it. */
export interface FoundLine {
  readonly id: string;
  /** «upper», «lower», «voice 2»; empty for a whole staff. */
  readonly take: string;
  readonly range: PitchRange;
  readonly notes: number;
  readonly firstWords: string;
  readonly firstBar: number;
}

/** A staff with the ways it can be read. */
export interface FoundStaff {
  readonly id: string;
  readonly name: string;
  /** How it is taken to be read. */
  readonly reading: Reading;
  readonly lines: Readonly<Partial<Record<Reading, readonly FoundLine[]>>>;
}

/** What was found in a score, before anyone said who sings what. */
export interface FoundScore {
  readonly title: string;
  readonly composer: string;
  readonly language: string;
  readonly bars: number;
  readonly seconds: Seconds;
  readonly tempo: number;
  readonly staves: readonly FoundStaff[];
  /** Who sings which line as far as it can be told, by the names of a mixed choir or the score's own. */
  readonly guess: readonly Mapping[];
  /** What the score leaves open of a line, by the line's id: it has to be asked. */
  readonly unsure: Readonly<Record<string, Unsure>>;
  readonly warnings: PieceScore['warnings'];
}

function foundLine(line: ScoreLine, score: PieceScore): FoundLine[] {
  const notes = notesOfLine(line);
  const [first] = notes;
  if (!first) return [];
  let [low, high] = [first.midi, first.midi];
  for (const { midi } of notes) {
    low = Math.min(low, midi);
    high = Math.max(high, midi);
  }
  const words = notes.flatMap(({ syllables }) => syllables?.[0] || []).slice(0, 8);
  return [
    {
      id: line.id,
      take: line.take === 'all' ? '' : line.take,
      range: [low, high],
      notes: notes.length,
      firstWords: joinSyllables(words).replace(/-$/, ''),
      firstBar: score.bars[first.bar]?.number ?? 0,
    },
  ];
}

/**
 * What was found in a score: its staves with the lines they can be read as, and a guess.
 * @throws RangeError when the repeat signs lead round without end
 */
export function foundIn(score: PieceScore): FoundScore {
  const guess = guessParts(score);
  return {
    title: score.title,
    composer: score.composer,
    language: score.language,
    bars: score.bars.filter(({ counted }) => counted).length,
    seconds: performanceOrder(score).seconds,
    tempo: beatsAMinute(score),
    staves: score.staves
      .filter(({ notes }) => notes.length > 0)
      .map((staff, i): FoundStaff => {
        const takes = guess.filter(({ line }) => line.staff.id === staff.id);
        const [first] = takes;
        const reading: Reading =
          first?.line.take === 'upper' || first?.line.take === 'lower'
            ? 'two parts'
            : first?.line.take.startsWith('voice')
              ? 'voice by voice'
              : 'one line';
        const read = (how: Reading) =>
          linesOfStaff(staff, how).flatMap((line) => foundLine(line, score));
        return {
          id: staff.id,
          name: partName(staff, i),
          reading,
          lines: {
            'one line': read('one line'),
            'two parts': read('two parts'),
            ...(voicesOf(staff).length > 1 ? { 'voice by voice': read('voice by voice') } : {}),
          },
        };
      }),
    guess: guess.map(({ line, parts, octaveLower }) => ({ line: line.id, parts, octaveLower })),
    unsure: Object.fromEntries(
      guess.flatMap(({ line, unsure }) => (unsure ? [[line.id, unsure]] : [])),
    ),
    warnings: score.warnings.filter((warning) => warning.of !== 'exercise'),
  };
}
