import type { Seconds } from '@wide-fern/core';
import { momentAt, type EvaluatedPlan } from '@wide-fern/plan';
import type { TimeView } from '../../../music/lanes/geometry';
import { within } from './view';

/** What is left free on both sides of what is looked at, as a share of it. */
const beside = 0.06;

/** A view so many times as long, in which one moment stays where it was. */
export function zoomed(view: TimeView, by: number, at: Seconds, whole: Seconds): TimeView {
  const scaled = { from: at - (at - view.from) * by, to: at + (view.to - at) * by };
  const share = (at - view.from) / Math.max(1e-9, view.to - view.from);
  const { from, to } = within(scaled, whole);
  // Where it cannot become shorter or longer any more, the moment keeps its place all the same.
  const length = to - from;
  return within({ from: at - share * length, to: at + (1 - share) * length }, whole);
}

/** A view moved by some seconds, as far as the plan goes. */
export const moved = ({ from, to }: TimeView, by: Seconds, whole: Seconds): TimeView =>
  within({ from: from + by, to: to + by }, whole);

const around = (from: Seconds, to: Seconds, whole: Seconds): TimeView => {
  const free = beside * (to - from);
  return within({ from: from - free, to: to + free }, whole);
};

/** A segment, from its talk to its end. */
export function viewOfSegment(
  plan: EvaluatedPlan,
  id: string | null,
  whole: Seconds,
): TimeView | undefined {
  const placed = plan.segments.find(({ segment }) => segment.id === id)?.computed.placed;
  return placed && around(placed.from, placed.to, whole);
}

/** One key, round or time of a segment: that of a moment, else its first. */
function viewOfKey(
  plan: EvaluatedPlan,
  id: string,
  moment: Seconds | undefined,
  whole: Seconds,
): TimeView | undefined {
  const found = plan.segments.find(({ segment }) => segment.id === id);
  if (!found) return undefined;
  const { placed, repetitions } = found.computed;
  const fact = moment === undefined ? undefined : momentAt(plan, moment);
  const isHere = fact !== undefined && fact.kind !== 'nothing' && fact.evaluated === found;
  const one = repetitions[isHere ? fact.place : 0];
  if (!one) return undefined;
  return around(placed.from + one.at, placed.from + one.at + one.seconds, whole);
}

const isAs = (one: TimeView | undefined, other: TimeView | undefined): boolean =>
  one !== undefined &&
  other !== undefined &&
  Math.abs(one.from - other.from) < 0.01 &&
  Math.abs(one.to - other.to) < 0.01;

/**
 * A step nearer: from the whole plan to the chosen segment, from there to the key that is pointed at, and
 * from anywhere else to the segment. Undefined where there is nothing nearer.
 */
export function nearer(
  view: TimeView | undefined,
  plan: EvaluatedPlan,
  chosen: string | null,
  moment: Seconds | undefined,
  whole: Seconds,
): TimeView | undefined {
  const segment = viewOfSegment(plan, chosen, whole);
  if (!segment || chosen === null) return undefined;
  const key = viewOfKey(plan, chosen, moment, whole);
  if (isAs(view, key)) return undefined;
  return isAs(view, segment) ? key : segment;
}
