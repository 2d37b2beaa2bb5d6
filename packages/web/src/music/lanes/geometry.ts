import type { MidiNote, PitchRange, Seconds } from '@wide-fern/core';

/** The stretch of time that is in view. */
export interface TimeView {
  readonly from: Seconds;
  readonly to: Seconds;
}

/** A linear axis in pixels. */
export interface TimeAxis {
  readonly left: number;
  readonly right: number;
  /** What of the time it shows: all of it, or a stretch looked at from near. */
  readonly view: TimeView;
  readonly x: (seconds: Seconds) => number;
  /** The moment at a place, kept inside the axis. */
  readonly at: (x: number) => Seconds;
}

/** Time from left to right, to scale; what lies outside the view lies outside the axis. */
export function timeAxis(
  left: number,
  right: number,
  seconds: Seconds,
  view: TimeView = { from: 0, to: seconds },
): TimeAxis {
  const { from, to } = view;
  const perSecond = (right - left) / Math.max(1, to - from);
  return {
    left,
    right,
    view,
    x: (moment) => left + (moment - from) * perSecond,
    at: (x) => Math.min(to, Math.max(from, from + (x - left) / perSecond)),
  };
}

const thousandth = (px: number): number => Math.round(px * 1000) / 1000;

/**
 * An axis as it is seen from a moment, which lies at 0: what is drawn on it moves with that moment, and is
 * the same wherever that stands (but for what is cut off by the view).
 */
export const axisFrom = (axis: TimeAxis, moment: Seconds): TimeAxis => {
  const zero = axis.x(moment);
  return {
    left: axis.left - zero,
    right: axis.right - zero,
    view: axis.view,
    x: (seconds) => thousandth(axis.x(seconds) - zero),
    at: (x) => axis.at(x + zero),
  };
};

/** How far each moment stands behind the one before it, the first behind the beginning of the axis, in px. */
export const stepsBetween = (axis: TimeAxis, moments: readonly Seconds[]): number[] =>
  moments.map((moment, i) =>
    thousandth(axis.x(moment) - (i > 0 ? axis.x(moments[i - 1]!) : axis.left)),
  );

/** A lane of one part: pitch from bottom to top, rings on a floor below the reach. */
export interface Lane {
  readonly top: number;
  readonly height: number;
  readonly perSemitone: number;
  readonly y: (note: MidiNote) => number;
  /** Where rings lie. */
  readonly floor: number;
}

/** What is left free above the reach, and below it for rings. */
export interface LaneMargin {
  readonly top: number;
  readonly floor: number;
}
const laneMargin: LaneMargin = { top: 5, floor: 14 };

/** Lanes of equal height with the same pixels a semitone in each, stacked with a wider gutter in the middle. */
export function lanes(
  reaches: readonly PitchRange[],
  {
    top,
    height,
    gutter,
    margin = laneMargin,
  }: { top: number; height: number; gutter: number; margin?: LaneMargin },
): Lane[] {
  const widest = Math.max(1, ...reaches.map(([low, high]) => high - low));
  const perSemitone = (height - margin.top - margin.floor) / widest;
  const upper = Math.ceil(reaches.length / 2);
  return reaches.map(([low, high], i) => {
    const laneTop = top + i * height + (i >= upper ? gutter : 0);
    const spare = (widest - (high - low)) * perSemitone;
    const bottom = laneTop + height - margin.floor - spare / 2;
    return {
      top: laneTop,
      height,
      perSemitone,
      y: (note) => bottom - (note - low) * perSemitone,
      floor: laneTop + height - Math.min(5, margin.floor / 2),
    };
  });
}

/** The middle gutter between the upper and the lower lanes. */
export const middleOf = (all: readonly Lane[], gutter: number): number => {
  const lastUpper = all[Math.ceil(all.length / 2) - 1];
  return lastUpper ? lastUpper.top + lastUpper.height + gutter / 2 : gutter / 2;
};

/** Two names closer than this print over each other, in px. */
const leastApart = 13;

/** The three notes an axis names: comfort low, one between, comfort high; the middle only with room on both sides. */
export function namedNotes(
  [low, high]: PitchRange,
  { perSemitone }: Pick<Lane, 'perSemitone'>,
): MidiNote[] {
  if (high - low < 6 || (high - low) * perSemitone < 2 * leastApart) {
    return high === low ? [low] : [low, high];
  }
  const between = Math.round((low + high) / 2);
  return high - low >= 12 ? [low, between, high] : [low, high];
}

/** From how near single seconds are told, and the steps from one figure to the next. */
const near: Seconds = 150;
const steps = { seconds: [2, 5, 10, 15, 30], minutes: [1, 2, 3, 5, 10, 15, 20, 30, 60] } as const;

/**
 * The times that get a figure under a clock: every minute where there is room, else every third, fifth …;
 * where a short stretch is looked at, also seconds.
 */
export function figuredTimes({ from, to }: TimeView, width: number, perFigure = 64): Seconds[] {
  const most = Math.max(1, Math.floor(width / perFigure));
  const all = [
    ...(to - from <= near ? steps.seconds : []),
    ...steps.minutes.map((minutes) => 60 * minutes),
  ];
  const every = all.find((step) => Math.floor((to - from) / step) <= most) ?? 3600;
  const first = Math.ceil(from / every - 1e-9);
  return Array.from({ length: Math.max(0, Math.floor(to / every) - first + 1) }, (_, i) => {
    return (first + i) * every;
  });
}
