import type { PitchRange, Seconds, Section } from '@wide-fern/core';
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
const leastAxis = 200;
const gutters = { left: 96, right: 172, narrow: 16 } as const;

/** Lays rows out for a page of this width; what is said of a row stands beside it where there is room, else below. */
export function rowsLayout(width: number, seconds: Seconds): RowsLayout {
  const narrow = width < narrowBelow;
  const left = narrow ? gutters.narrow : gutters.left;
  // A page that is not laid out yet has no width.
  const right = Math.max(left + leastAxis, width - (narrow ? gutters.narrow : gutters.right));
  return { width, narrow, axis: timeAxis(left, right, seconds) };
}

/** Where a row's lanes lie, from the row's own top. */
export interface RowLanes {
  readonly height: number;
  readonly lanes: readonly Lane[];
  readonly middle: number;
}

const opened = { lane: 42, least: 28, gutter: 18, most: 220 } as const;
const closed = { lane: 40 } as const;
const margin = { top: 2, floor: 6 } as const;

/** An opened row has a lane for each part. */
export function openedLanes(sections: readonly Section[]): RowLanes {
  const fair = opened.most / Math.max(1, sections.length);
  const height = Math.max(opened.least, Math.min(opened.lane, fair));
  const gutter = sections.length > 1 ? opened.gutter : 24;
  const reaches = sections.map(({ reach }) => reach);
  const all = lanes(reaches, { top: 0, height, gutter, margin });
  return { height: height * sections.length + gutter, lanes: all, middle: middleOf(all, gutter) };
}

/** A closed row has one lane, on which all parts are drawn as if they sang in one octave. */
export function closedLanes(sections: readonly Section[]): RowLanes {
  const span: PitchRange = [
    Math.min(...sections.map(({ reach, octave }) => reach[0] - octave)),
    Math.max(...sections.map(({ reach, octave }) => reach[1] - octave)),
  ];
  const [one] = lanes([span], { top: 0, height: closed.lane, gutter: 0, margin });
  return {
    height: closed.lane,
    lanes: sections.map(({ octave }) => ({ ...one!, y: (note) => one!.y(note - octave) })),
    middle: closed.lane / 2,
  };
}
