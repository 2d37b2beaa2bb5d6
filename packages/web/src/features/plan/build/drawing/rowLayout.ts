import type { PitchRange, Seconds } from '@wide-fern/core';
import {
  lanes,
  middleOf,
  timeAxis,
  type Lane,
  type TimeAxis,
} from '../../../../music/lanes/geometry';

/** The measures of the rows of proposals: one time axis for all of them. */
export interface RowsLayout {
  readonly width: number;
  readonly narrow: boolean;
  readonly axis: TimeAxis;
}

const narrowBelow = 700;
const gutters = { left: 96, right: 172, narrow: 16 } as const;

/** Lays rows out for a page of this width; what is said of a row stands beside it where there is room, else below. */
export function rowsLayout(width: number, seconds: Seconds): RowsLayout {
  const narrow = width < narrowBelow;
  const left = narrow ? gutters.narrow : gutters.left;
  const right = width - (narrow ? gutters.narrow : gutters.right);
  return { width, narrow, axis: timeAxis(left, right, seconds) };
}

/** Where a row's lanes lie, from the row's own top. */
export interface RowLanes {
  readonly height: number;
  readonly lanes: readonly Lane[];
  readonly middle: number;
}

const opened = { lane: 36, least: 26, gutter: 16, most: 200 } as const;
const closed = { lane: 40 } as const;

/** An opened row has a lane for each part. */
export function openedLanes(reaches: readonly PitchRange[]): RowLanes {
  const fair = opened.most / Math.max(1, reaches.length);
  const height = Math.max(opened.least, Math.min(opened.lane, fair));
  const gutter = reaches.length > 1 ? opened.gutter : 24;
  const all = lanes(reaches, { top: 0, height, gutter });
  return { height: height * reaches.length + gutter, lanes: all, middle: middleOf(all, gutter) };
}

/** A closed row has one lane, on which all parts are drawn at their pitch. */
export function closedLanes(reaches: readonly PitchRange[]): RowLanes {
  const span: PitchRange = [
    Math.min(...reaches.map(([low]) => low)),
    Math.max(...reaches.map(([, high]) => high)),
  ];
  const [one] = lanes([span], { top: 0, height: closed.lane, gutter: 0 });
  return { height: closed.lane, lanes: reaches.map(() => one!), middle: closed.lane / 2 };
}
