import type { PitchRange } from '@wide-fern/core';
import type { ChosenBars } from '../model/bars';

/** Measures of a part's lane: the histogram stands between names and words (px). */
export const lane = { names: 44, histogram: 104, height: 190, top: 8, bottom: 8 } as const;
/** Measures of the strip of bars (px). */
export const strip = {
  gutter: 32,
  numbers: 14,
  marks: 18,
  lane: 34,
  perPoint: 1.65,
  tallest: 24,
  leastBar: 8,
} as const;

/** The pitches a lane shows: the comfort and all that is sung, with a semitone of air. */
export function pitchesShown(comfort: PitchRange, sung: PitchRange): PitchRange {
  return [Math.min(comfort[0], sung[0]) - 1, Math.max(comfort[1], sung[1]) + 1];
}

/** The height of a pitch's middle in a lane, from its top; one semitone is `step` high. */
export function pitchScale([low, high]: PitchRange) {
  const step = (lane.height - lane.top - lane.bottom) / (high - low + 1);
  return { step, y: (midi: number) => lane.top + (high - midi + 0.5) * step };
}

/** Columns of the strip: bars by their printed number, in groups when there are too many. */
export interface Column {
  /** The printed numbers it holds. */
  readonly from: number;
  readonly to: number;
  /** Places of its bars in the score. */
  readonly places: readonly number[];
}

/** Bars that share a printed number are one column; where a column would be too narrow, four are. */
export function columnsOf(numbers: readonly number[], width: number): Column[] {
  const columns: { from: number; to: number; places: number[] }[] = [];
  numbers.forEach((number, place) => {
    const last = columns[columns.length - 1];
    if (last?.to === number) last.places.push(place);
    else columns.push({ from: number, to: number, places: [place] });
  });
  const group = width / Math.max(1, columns.length) < strip.leastBar ? 4 : 1;
  if (group === 1) return columns;
  return Array.from({ length: Math.ceil(columns.length / group) }, (_, i) => {
    const few = columns.slice(i * group, (i + 1) * group);
    return {
      from: few[0]!.from,
      to: few[few.length - 1]!.to,
      places: few.flatMap(({ places }) => places),
    };
  });
}

/** The height of a bar's points. */
export const heightOf = (points: number): number =>
  Math.min(strip.tallest, points * strip.perPoint);

/** Where the strip's bars stand at a width, and which of them are named. */
export interface StripScale {
  readonly columns: readonly Column[];
  readonly width: number;
  readonly room: number;
  readonly step: number;
  readonly top: number;
  readonly bottom: number;
  /** Where a column begins. */
  readonly x: (column: number) => number;
  /** The column that holds a printed number; the last where none does. */
  readonly columnOf: (bar: number) => number;
  /** The column at a place, held within the strip. */
  readonly columnAt: (x: number) => Column;
  /** Every how many columns a number is printed. */
  readonly numbered: number;
}

/** @param numbers the printed numbers of the bars, in order; at least one */
export function stripScale(numbers: readonly number[], parts: number, width: number): StripScale {
  const room = width - strip.gutter;
  const columns = columnsOf(numbers, room);
  const step = room / columns.length;
  const held = (column: number) => Math.min(columns.length - 1, Math.max(0, column));
  const every = Math.ceil(44 / step);
  const top = strip.numbers + strip.marks + 4;
  return {
    columns,
    width,
    room,
    step,
    top,
    bottom: top + strip.lane * parts,
    x: (column) => strip.gutter + column * step,
    columnOf: (bar) => {
      const found = columns.findIndex(({ from, to }) => bar >= from && bar <= to);
      return found >= 0 ? found : columns.length - 1;
    },
    columnAt: (x) => columns[held(Math.floor((x - strip.gutter) / step))]!,
    // In fours of bars, as music is counted.
    numbered: columns[0]!.places.length > 1 ? every : Math.ceil(every / 4) * 4,
  };
}

/** The chosen bars with one end brought to a column; the ends never cross. */
export const withEnd = (chosen: ChosenBars, end: 'from' | 'to', column: Column): ChosenBars =>
  end === 'from'
    ? { from: Math.min(column.from, chosen.to), to: chosen.to }
    : { from: chosen.from, to: Math.max(column.to, chosen.from) };

/** The chosen bars with one end moved so many columns. */
export function endMoved(
  chosen: ChosenBars,
  end: 'from' | 'to',
  by: number,
  { columns, columnOf }: Pick<StripScale, 'columns' | 'columnOf'>,
): ChosenBars {
  const at = columnOf(chosen[end]) + by;
  return withEnd(chosen, end, columns[Math.min(columns.length - 1, Math.max(0, at))]!);
}

export interface MarkPlace<T> {
  readonly mark: T;
  readonly x: number;
  /** As much of the words as there is room for; undefined where there is none. */
  readonly words: string | undefined;
  /** The words stand before the sign, where there is more room. */
  readonly isBefore: boolean;
}

/** Marks above the strip, in order, each with the words it has room for. */
export function markPlaces<
  T extends {
    readonly fromBar: number;
    readonly toBar: number;
    readonly note: string;
    readonly skill: string;
  },
>(marks: readonly T[], { x, columnOf, columns }: StripScale): MarkPlace<T>[] {
  const middle = ({ fromBar, toBar }: T) => x((columnOf(fromBar) + columnOf(toBar) + 1) / 2);
  const ordered = [...marks].sort((a, b) => a.fromBar - b.fromBar);
  return ordered.map((mark, i) => {
    const here = middle(mark);
    const next = ordered[i + 1];
    const before = ordered[i - 1];
    const words = mark.note || mark.skill;
    const right = Math.floor(((next ? middle(next) : x(columns.length)) - here - 22) / 6.2);
    const from = before ? middle(before) + 60 : x(0);
    const left = next ? 0 : Math.floor((here - from - 12) / 6.2);
    // The last mark may have more room before it than behind it.
    const isBefore = right < words.length && left > right;
    const fits = isBefore ? left : right;
    const shown = words.length > fits ? `${words.slice(0, fits - 1).trimEnd()}…` : words;
    return { mark, x: here, words: fits < 3 ? undefined : shown, isBefore };
  });
}
