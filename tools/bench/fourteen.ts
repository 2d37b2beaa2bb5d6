import { exercises } from '@wide-fern/catalogue';
import { computePlan, mixedChoir, usualSections, type ComputedPlan } from '@wide-fern/core';
import { medianTime } from './median';

/** A full warm-up of fourteen segments: every pitched kind, two of them over an octave and more. */
const ids = [
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
] as const;

const segments = ids.map((id) => {
  const exercise = exercises.find((one) => one.id === id)!;
  return { id, exercise, choices: { ...exercise.usual, start: null } };
});
const need = { part: 'S', highest: 77, highestIn: 'Lanterns', lowest: 62, lowestIn: 'Lanterns' };
const setting = { sections: usualSections(mixedChoir), needs: [need] };

const recompute = (): ComputedPlan => computePlan(segments, setting, 900);

/** The median time of recomputing the whole plan, in milliseconds. */
export const fourteenSegments = (runs = 60): number => medianTime(runs, recompute);

// For the browser, where this file is the whole bundle.
(globalThis as { fourteenSegments?: typeof fourteenSegments }).fourteenSegments = fourteenSegments;
