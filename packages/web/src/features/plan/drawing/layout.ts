import type { PitchRange, Seconds } from '@wide-fern/core';
import {
  lanes,
  middleOf,
  timeAxis,
  type Lane,
  type TimeAxis,
  type TimeView,
} from '../../../music/lanes/geometry';
import { within } from './view';

/** The measures of the plan's drawing; y counts from the drawing's own top. */
export interface PlanLayout {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  readonly axis: TimeAxis;
  readonly eveningClock: number;
  readonly evening: { readonly top: number; readonly bottom: number };
  readonly fanBottom: number;
  readonly minutes: number;
  readonly weaveTop: number;
  readonly weaveBottom: number;
  readonly lanes: readonly Lane[];
  readonly middle: number;
  readonly effort: { readonly top: number; readonly bottom: number };
}

/** What keeps a drawing inside its axis where only a stretch of it is looked at. */
export const viewClip = 'weave-view';

const gutters = { margin: 24, left: 96, right: 72, middle: 18 } as const;
const laneLimits = { least: 44, most: 104 } as const;
/** What stands above and below the lanes: head, title, evening, clock; strip and bench. */
const aroundLanes = 48 + 48 + 78 + gutters.middle + 34 + 62 + 264;
/** The line of effort beneath the lanes, with its label. */
const effortBand = { gap: 3, height: 30 } as const;

/** Lays the drawing out for a page of this size; the lanes take what height is left. */
export function planLayout(options: {
  readonly width: number;
  readonly pageHeight: number;
  readonly reaches: readonly PitchRange[];
  readonly seconds: Seconds;
  /** What of it is looked at; all where nothing is said. */
  readonly view?: TimeView | undefined;
  /** One lane only, for a narrow page. */
  readonly narrow?: boolean;
}): PlanLayout {
  const { width, pageHeight, reaches, seconds, view, narrow = false } = options;
  const left = narrow ? 56 : gutters.left;
  const right = width - (narrow ? 44 : gutters.right);
  const fair = narrow ? 150 : (pageHeight - aroundLanes) / Math.max(1, reaches.length);
  const height = Math.min(narrow ? 150 : laneLimits.most, Math.max(laneLimits.least, fair));
  const weaveTop = 78;
  const gutter = reaches.length > 1 ? gutters.middle : 24;
  const all = lanes(reaches, { top: weaveTop, height, gutter });
  const weaveBottom = weaveTop + height * reaches.length + gutter;
  const effortTop = weaveBottom + effortBand.gap;
  const effortBottom = effortTop + effortBand.height;
  return {
    width,
    height: effortBottom + 1,
    margin: narrow ? 16 : gutters.margin,
    axis: timeAxis(left, right, seconds, view && within(view, seconds)),
    eveningClock: 10,
    evening: { top: 14, bottom: 40 },
    fanBottom: 59,
    minutes: 71,
    weaveTop,
    weaveBottom,
    lanes: all,
    middle: middleOf(all, gutter),
    effort: { top: effortTop, bottom: effortBottom },
  };
}
