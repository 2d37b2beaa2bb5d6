import type { EvaluatedPlan } from '@wide-fern/plan';
import type { TimeAxis } from '../../../music/lanes/geometry';

/** Where the gaps between segments lie (px): before the first, between each two, behind the last. */
export const gapPlaces = ({ segments }: EvaluatedPlan, axis: TimeAxis): number[] => [
  axis.x(0),
  ...segments.map(({ computed }) => axis.x(computed.placed.to)),
];

/** The gap that is nearest to a place: how many segments stand before it. */
export function gapAt(plan: EvaluatedPlan, axis: TimeAxis, x: number): number {
  const places = gapPlaces(plan, axis);
  return places.reduce(
    (best, place, gap) => (Math.abs(place - x) < Math.abs(places[best]! - x) ? gap : best),
    0,
  );
}

/** Where a segment comes to stand that is let go in a gap: its own place where it stays. */
export const placeInGap = (from: number, gap: number): number => (gap > from ? gap - 1 : gap);
