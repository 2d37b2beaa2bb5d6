import type { MidiNote, Seconds } from '../units';
import { lineOfId, notesOfLine } from './score/lines';
import {
  inForce,
  sameTime,
  type MetreMark,
  type PieceScore,
  type Quarters,
  type QuartersPerMinute,
  type StaffNote,
} from './score/score';
import { sungOrder } from './score/sungOrder';

/** The tempo of a score that names none, in quarters a minute. */
export const usualTempo: QuartersPerMinute = 96;

/** A part of a piece: its lines from the highest on, each in written order; a divided part has several. */
export interface PartMusic {
  readonly part: string;
  readonly lines: readonly (readonly StaffNote[])[];
}

/** Who sings a line of a score, by its id. */
export interface Mapping {
  readonly line: string;
  readonly parts: readonly string[];
  /** Written an octave above where it sounds, without a sign that says so, as tenors often are. */
  readonly octaveLower?: boolean | undefined;
}

const mean = (notes: readonly StaffNote[]): number =>
  notes.reduce((sum, { midi }) => sum + midi, 0) / Math.max(1, notes.length);

/** Bar and place in it as one number: no bar has so many 96ths of a quarter. */
const placeOf = ({ bar, at }: StaffNote): number => bar * 2 ** 20 + Math.round(at * 96);

/**
 * What each part sings of a score, in the order of the parts given. A line without words takes
 * those that stand beside it at the same moment: in a closed score they are printed once.
 */
export function partsOfScore(
  score: PieceScore,
  mapping: readonly Mapping[],
  parts: readonly string[],
): PartMusic[] {
  const lines = mapping.flatMap(({ line: id, parts: singing, octaveLower }) => {
    const line = lineOfId(score, id);
    if (!line || singing.length === 0) return [];
    const notes = notesOfLine(line);
    const lower = (note: StaffNote) => ({ ...note, midi: note.midi - 12 });
    return [{ singing, notes: octaveLower ? notes.map(lower) : notes }];
  });
  const hasWords = (notes: readonly StaffNote[]) => notes.some(({ syllables }) => syllables);
  const words = new Map<number, readonly string[]>();
  if (!lines.every(({ notes }) => hasWords(notes))) {
    for (const note of lines.flatMap(({ notes }) => notes)) {
      const place = placeOf(note);
      if (note.syllables && !words.has(place)) words.set(place, note.syllables);
    }
  }
  const withWords = (notes: readonly StaffNote[]): readonly StaffNote[] => {
    if (hasWords(notes)) return notes;
    return notes.map((note) => {
      const beside = note.tieStop ? undefined : words.get(placeOf(note));
      return beside ? { ...note, syllables: beside } : note;
    });
  };
  return parts.flatMap((part) => {
    const own = lines
      .filter(({ singing, notes }) => singing.includes(part) && notes.length > 0)
      .map(({ notes }) => withWords(notes))
      .sort((a, b) => mean(b) - mean(a));
    return own.length > 0 ? [{ part, lines: own }] : [];
  });
}

/** How many quarters a beat of a metre has: in six or nine eighths a dotted quarter is beaten. */
export function quartersOfPulse({ metre }: Pick<MetreMark, 'metre'>): Quarters {
  const isCompound = metre.unit >= 8 && metre.beats > 3 && metre.beats % 3 === 0;
  return (4 / metre.unit) * (isCompound ? 3 : 1);
}

/** The tempo a score begins with, in beats of its first metre; the usual one where it names none. */
export function beatsAMinute(score: PieceScore): number {
  const quarters = score.tempos[0]?.tempo ?? usualTempo;
  const metre = score.metres[0];
  return quarters / (metre ? quartersOfPulse(metre) : 1);
}

/** A bar in the order sung, with when it begins. */
export interface PerformedBar {
  /** Its place in the score. */
  readonly bar: number;
  readonly from: Quarters;
  readonly starts: Seconds;
}

/** A score laid out in time as it is sung. */
export interface PerformanceOrder {
  readonly bars: readonly PerformedBar[];
  readonly seconds: Seconds;
  /** The seconds from a bar's beginning to a place in it. */
  readonly within: (bar: number, at: Quarters) => Seconds;
}

/** The tempo marks by bar, the one in force at each bar's beginning first. */
function temposByBar({ bars, tempos }: PieceScore): (readonly (readonly [Quarters, number])[])[] {
  const ordered = [...tempos].sort((a, b) => a.bar - b.bar || a.at - b.at);
  let now = ordered[0]?.tempo ?? usualTempo;
  let next = 0;
  return bars.map((_, bar) => {
    const here: [Quarters, number][] = [[0, now]];
    while (next < ordered.length && ordered[next]!.bar === bar) {
      const { at, tempo } = ordered[next]!;
      if (at <= sameTime) here[0] = [0, tempo];
      else here.push([at, tempo]);
      now = tempo;
      next += 1;
    }
    return here;
  });
}

/**
 * When everything is sung: the bars in their order with repeats, each at the tempo written in it.
 * @param pace how much faster than written; 1 is as written
 * @throws RangeError when the repeat signs lead round without end
 */
export function performanceOrder(score: PieceScore, pace = 1): PerformanceOrder {
  const tempos = temposByBar(score);
  const within = (bar: number, at: Quarters): Seconds => {
    const marks = tempos[bar]!;
    if (marks.length === 1) return (at * 60) / (marks[0]![1] * pace);
    let seconds = 0;
    marks.forEach(([from, tempo], i) => {
      const to = Math.min(at, marks[i + 1]?.[0] ?? Infinity);
      if (to > from) seconds += ((to - from) * 60) / (tempo * pace);
    });
    return seconds;
  };
  let from: Quarters = 0;
  let starts: Seconds = 0;
  const bars = sungOrder(score.bars).map((bar): PerformedBar => {
    const here = { bar, from, starts };
    from += score.bars[bar]!.quarters;
    starts += within(bar, score.bars[bar]!.quarters);
    return here;
  });
  return { bars, seconds: starts, within };
}

/** A note as it is sung: tied ones are one. */
export interface PieceNote {
  readonly midi: MidiNote;
  readonly line: number;
  /** When it begins and ends, in quarters and in seconds from the beginning of the piece. */
  readonly from: Quarters;
  readonly to: Quarters;
  readonly starts: Seconds;
  readonly ends: Seconds;
  /** Where it sounds: places in the order, and for how long there. */
  readonly pieces: readonly { readonly place: number; readonly seconds: Seconds }[];
  readonly syllables?: readonly string[] | undefined;
}

interface Growing extends PieceNote {
  to: Quarters;
  ends: Seconds;
  pieces: { place: number; seconds: Seconds }[];
}

/** A note that is tied on, and the voice that holds it. */
interface Tied {
  readonly note: Growing;
  readonly voice: string;
}

/**
 * Takes out the note that goes on at this moment. Several voices of a line may hold the same pitch
 * until then: the same voice's before another's.
 */
function takeTied(waiting: Tied[], voice: string, at: Quarters): Growing | undefined {
  const ending = waiting.filter(({ note }) => Math.abs(note.to - at) < sameTime);
  const tied = ending.find((one) => one.voice === voice) ?? ending[0];
  if (tied) waiting.splice(waiting.indexOf(tied), 1);
  return tied?.note;
}

/** One line as it is sung, in the order in which its notes begin. */
function sungLine(notes: readonly StaffNote[], line: number, order: PerformanceOrder): PieceNote[] {
  const byBar = new Map<number, StaffNote[]>();
  for (const note of notes) {
    const bar = byBar.get(note.bar);
    if (bar) bar.push(note);
    else byBar.set(note.bar, [note]);
  }
  const sung: Growing[] = [];
  /** Notes that are tied on, by pitch. */
  const open = new Map<number, Tied[]>();
  order.bars.forEach(({ bar, from, starts }, place) => {
    for (const note of byBar.get(bar) ?? []) {
      const { midi } = note;
      const begins = from + note.at;
      const begun = starts + order.within(bar, note.at);
      const to = begins + note.quarters;
      const ends = starts + order.within(bar, note.at + note.quarters);
      const waiting = open.get(midi) ?? [];
      const before = note.tieStop ? takeTied(waiting, note.voice, begins) : undefined;
      let now: Growing;
      if (before) {
        now = before;
        now.to = to;
        now.ends = ends;
        now.pieces.push({ place, seconds: ends - begun });
      } else {
        const pieces = [{ place, seconds: ends - begun }];
        const { syllables } = note;
        now = { midi, line, from: begins, to, starts: begun, ends, pieces, syllables };
        sung.push(now);
      }
      if (note.tieStart) {
        const others = waiting.filter((one) => one.note.to > begins + sameTime);
        open.set(midi, [...others, { note: now, voice: note.voice }]);
      }
    }
  });
  return sung;
}

/** A part's notes as they are sung, in the order in which they begin; of notes together the highest line first. */
export function sungNotesOf({ lines }: PartMusic, order: PerformanceOrder): PieceNote[] {
  const sung = lines.flatMap((notes, line) => sungLine(notes, line, order));
  return lines.length > 1 ? sung.sort((a, b) => a.from - b.from || a.line - b.line) : sung;
}

/** The printed number of a bar of the order. */
export const barNumber = (score: PieceScore, order: PerformanceOrder, place: number): number =>
  score.bars[order.bars[place]!.bar]!.number;

/** The line that is followed in a divided part: its upper one, and others where that is silent. */
export function upperLine(notes: readonly PieceNote[]): PieceNote[] {
  const ordered = [...notes].sort((a, b) => a.line - b.line || a.from - b.from || b.midi - a.midi);
  const taken: PieceNote[] = [];
  let line = -1;
  let above: PieceNote[] = [];
  for (const note of ordered) {
    if (note.line !== line) {
      line = note.line;
      above = [...taken].sort((a, b) => a.from - b.from);
    }
    const last = taken[taken.length - 1];
    const follows = !last || last.line !== line || note.from >= last.to - sameTime;
    if (follows && !overlapsAny(above, note)) taken.push(note);
  }
  return taken.sort((a, b) => a.from - b.from);
}

/** Whether a note sounds while one of others does, which stand in the order of time without overlaps. */
function overlapsAny(others: readonly PieceNote[], note: PieceNote): boolean {
  let low = 0;
  let high = others.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (others[middle]!.to <= note.from + sameTime) low = middle + 1;
    else high = middle;
  }
  const next = others[low];
  return next !== undefined && next.from < note.to - sameTime;
}

/** The metre in force in a bar; four quarters where the score names none. */
export const metreOf = (score: PieceScore, bar: number) =>
  inForce(score.metres, bar)?.metre ?? ({ beats: 4, unit: 4 } as const);
