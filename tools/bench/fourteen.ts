import { choose, evaluate, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { median, medianTime } from './median';

/** A full warm-up of fourteen segments: every pitched kind, two of them over an octave and more. */
const whole = documentOf(
  'coat-off',
  'long-s',
  'narrow-hum',
  'sliding-fifths',
  'soft-v',
  'embers',
  'open-vowels',
  'bell-to-air',
  'slate-steps',
  'pulley',
  'swift-turns',
  'long-ledge',
  'lantern-chord',
  'tin-and-tackle',
);

const allotted = 900;

/** Milliseconds for the whole plan, nothing remembered; the median. */
export const wholePlan = (runs = 60): number =>
  medianTime(runs, () => {
    // Another evening, of the same content: what was computed for one is remembered with it.
    evaluate({ ...whole, tonight: { ...whole.tonight } }, allotted);
  });

/** Milliseconds from an edit of one segment to the whole plan: the median of its dearest segment. */
export function afterOneChange(runs = 40): number {
  let document = whole;
  evaluate(document, allotted);
  const perSegment = whole.segments.map(({ id, choices }) => {
    const times = Array.from({ length: runs }, (_, i) => {
      const edit = choose(id, { tempo: (choices.tempo ?? 80) + 1 + (i % 7) });
      const began = performance.now();
      document = performAll(document, [edit]);
      evaluate(document, allotted);
      return performance.now() - began;
    });
    return median(times);
  });
  return Math.max(...perSegment);
}

/** What the bundle for the browser hands out. */
export interface FourteenSegments {
  readonly wholePlan: typeof wholePlan;
  readonly afterOneChange: typeof afterOneChange;
}

// For the browser, where this file is the whole bundle.
(globalThis as { fourteen?: FourteenSegments }).fourteen = { wholePlan, afterOneChange };
