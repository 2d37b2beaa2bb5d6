import type { MidiNote, PitchRange, Seconds, Semitones } from '../units';
import {
  barNumber,
  sungNotesOf,
  upperLine,
  type PerformanceOrder,
  type PartMusic,
  type PieceNote,
} from './music';
import { sameTime, type PieceScore } from './score/score';

/** A figure with the printed bars it stands in. */
export interface Stretch {
  readonly seconds: Seconds;
  readonly fromBar: number;
  readonly toBar: number;
}

/** What a piece asks of a part (docs/model.md, section 9). Bars are printed numbers. */
export interface PartStatistics {
  readonly part: string;
  readonly lowest: MidiNote;
  readonly highest: MidiNote;
  /** The first bar where it sounds. */
  readonly lowestBar: number;
  readonly highestBar: number;
  /** Seconds of sounding by pitch. */
  readonly histogram: Readonly<Record<string, Seconds>>;
  /** From the 10th to the 90th percentile of sounding time. */
  readonly middle: PitchRange;
  readonly sounding: Seconds;
  /** The longest stretch without a rest. */
  readonly longestPhrase: Stretch;
  /** Over any four neighbouring notes without a rest between; 0 when there are no four. */
  readonly fastestRun: { readonly notesPerSecond: number; readonly bar: number };
  /** Between neighbouring notes without a rest between. */
  readonly widestLeap: { readonly semitones: Semitones; readonly bar: number };
}

/** What a piece asks of a part against its section's comfort. */
export interface ComfortStatistics {
  readonly above: Seconds;
  readonly below: Seconds;
  /** Seconds in the top three semitones of the comfort. */
  readonly high: Seconds;
  /** The printed bars where the comfort is left. */
  readonly barsOutside: readonly number[];
}

/** How many semitones count as the top of a comfort. */
const topSemitones: Semitones = 3;

/** Notes that follow each other without a rest. */
function phrases(line: readonly PieceNote[]): PieceNote[][] {
  const all: PieceNote[][] = [];
  for (const note of line) {
    const last = all[all.length - 1];
    const before = last?.[last.length - 1];
    if (last && before && note.from - before.to < sameTime) last.push(note);
    else all.push([note]);
  }
  return all;
}

function percentile(histogram: readonly (readonly [MidiNote, Seconds])[], share: number): MidiNote {
  const total = histogram.reduce((sum, [, seconds]) => sum + seconds, 0);
  let sum = 0;
  for (const [midi, seconds] of histogram) {
    sum += seconds;
    if (sum >= total * share - 1e-9) return midi;
  }
  return histogram[histogram.length - 1]![0];
}

/** A part of a piece as it is sung, ready for figures. */
export interface SungPart {
  readonly part: string;
  readonly notes: readonly PieceNote[];
  /** The line that runs and leaps follow. */
  readonly upper: readonly (readonly PieceNote[])[];
}

/** Sings a part once for all figures. */
export function sungPart(music: PartMusic, order: PerformanceOrder): SungPart {
  const notes = sungNotesOf(music, order);
  return { part: music.part, notes, upper: phrases(upperLine(notes)) };
}

/** What a piece asks of a part; undefined for a part that sings nothing. */
export function pieceStatistics(
  { part, notes, upper }: SungPart,
  score: PieceScore,
  order: PerformanceOrder,
): PartStatistics | undefined {
  const [first] = notes;
  if (!first) return undefined;
  const number = (place: number) => barNumber(score, order, place);
  const begins = (note: PieceNote) => number(note.pieces[0]!.place);
  let lowest = first;
  let highest = first;
  const seconds = new Map<MidiNote, Seconds>();
  for (const note of notes) {
    if (note.midi < lowest.midi) lowest = note;
    if (note.midi > highest.midi) highest = note;
    seconds.set(note.midi, (seconds.get(note.midi) ?? 0) + note.ends - note.starts);
  }
  const histogram = [...seconds].sort(([a], [b]) => a - b);
  let longest: Stretch = { seconds: 0, fromBar: 0, toBar: 0 };
  let run = { notesPerSecond: 0, bar: 0 };
  let leap = { semitones: 0, bar: 0 };
  for (const phrase of upper) {
    const from = phrase[0]!;
    const to = phrase[phrase.length - 1]!;
    const length = to.ends - from.starts;
    if (length > longest.seconds + 1e-9) {
      const toBar = number(to.pieces[to.pieces.length - 1]!.place);
      longest = { seconds: length, fromBar: begins(from), toBar };
    }
    for (let i = 1; i < phrase.length; i += 1) {
      const semitones = Math.abs(phrase[i]!.midi - phrase[i - 1]!.midi);
      if (semitones > leap.semitones) leap = { semitones, bar: begins(phrase[i]!) };
      if (i < 3) continue;
      const notesPerSecond = 4 / (phrase[i]!.ends - phrase[i - 3]!.starts);
      if (notesPerSecond > run.notesPerSecond + 1e-9) {
        run = { notesPerSecond, bar: begins(phrase[i - 3]!) };
      }
    }
  }
  return {
    part,
    lowest: lowest.midi,
    highest: highest.midi,
    lowestBar: begins(lowest),
    highestBar: begins(highest),
    histogram: Object.fromEntries(histogram),
    middle: [percentile(histogram, 0.1), percentile(histogram, 0.9)],
    sounding: histogram.reduce((sum, [, one]) => sum + one, 0),
    longestPhrase: longest,
    fastestRun: run,
    widestLeap: leap,
  };
}

/** Whether a note lies in the top three semitones of a comfort. */
const isHigh = (midi: MidiNote, [, high]: PitchRange): boolean =>
  midi <= high && midi > high - topSemitones;

/** How a part of a piece lies in its section's comfort. */
export function comfortStatistics(
  { notes }: SungPart,
  comfort: PitchRange,
  score: PieceScore,
  order: PerformanceOrder,
): ComfortStatistics {
  const outside = new Set<number>();
  let above = 0;
  let below = 0;
  let high = 0;
  for (const { midi, starts, ends, pieces } of notes) {
    if (midi > comfort[1]) above += ends - starts;
    else if (midi < comfort[0]) below += ends - starts;
    else {
      if (isHigh(midi, comfort)) high += ends - starts;
      continue;
    }
    for (const { place } of pieces) outside.add(barNumber(score, order, place));
  }
  return { above, below, high, barsOutside: [...outside].sort((a, b) => a - b) };
}

/** How hard a bar is for a part, in points for comparing bars only, and what makes it so. */
export interface BarDifficulty {
  readonly points: number;
  readonly above: boolean;
  readonly below: boolean;
}

/** The widest leap that costs nothing: a fourth. */
const easyLeap: Semitones = 5;

interface Sums {
  outside: Seconds;
  high: Seconds;
  past: Seconds;
  leap: Semitones;
  above: boolean;
  below: boolean;
}

/**
 * How hard each written bar is for a part, by its place in the score: 3 for each second outside the
 * comfort, 2 for each in its top three semitones, the seconds by which the stretch without a rest,
 * as far as this bar, exceeds the comfortable phrase, and 1 for each semitone of a leap beyond a
 * fourth (docs/model.md, section 9). A bar that is sung more than once counts as its hardest time.
 */
export function barDifficulty(
  { notes, upper }: SungPart,
  {
    comfort,
    phrase: comfortable,
    score,
    order,
  }: {
    readonly comfort: PitchRange;
    readonly phrase: Seconds;
    readonly score: PieceScore;
    readonly order: PerformanceOrder;
  },
): BarDifficulty[] {
  const sums = order.bars.map((): Sums => ({
    outside: 0,
    high: 0,
    past: 0,
    leap: 0,
    above: false,
    below: false,
  }));
  for (const { midi, pieces } of notes) {
    for (const { place, seconds } of pieces) {
      const here = sums[place]!;
      if (midi > comfort[1] || midi < comfort[0]) {
        here.outside += seconds;
        if (midi > comfort[1]) here.above = true;
        else here.below = true;
      } else if (isHigh(midi, comfort)) here.high += seconds;
    }
  }
  for (const phrase of upper) {
    let length = 0;
    phrase.forEach((note, i) => {
      for (const { place, seconds } of note.pieces) {
        length += seconds;
        const here = sums[place]!;
        here.past = Math.max(here.past, length - comfortable);
      }
      if (i === 0) return;
      const leap = Math.abs(note.midi - phrase[i - 1]!.midi);
      sums[note.pieces[0]!.place]!.leap += Math.max(0, leap - easyLeap);
    });
  }
  const bars = score.bars.map((): BarDifficulty => ({ points: 0, above: false, below: false }));
  order.bars.forEach(({ bar }, place) => {
    const { outside, high, past, leap, above, below } = sums[place]!;
    const points = 3 * outside + 2 * high + past + leap;
    const was = bars[bar]!;
    bars[bar] = {
      points: Math.max(was.points, points),
      above: was.above || above,
      below: was.below || below,
    };
  });
  return bars;
}
