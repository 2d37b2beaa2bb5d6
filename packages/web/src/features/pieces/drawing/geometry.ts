import type { PitchRange } from '@wide-fern/core';

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
