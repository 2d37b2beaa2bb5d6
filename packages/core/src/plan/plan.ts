import type { Seconds } from '../units';
import { chanceOnTime, likelyLength, placeSegments, segmentEstimate } from '../timing';
import type { LikelyLength, Placed } from '../timing';
import type { Tonight } from './keys';
import type { PlannedSegment } from './planned';
import { computeSegment, type ComputedSegment } from './segment';

/** A whole warm-up as computed: every segment placed on its clock, and how its end compares with the time set aside. */
export interface ComputedPlan {
  readonly segments: readonly (ComputedSegment & { readonly placed: Placed })[];
  readonly total: Seconds;
  /** What is left of the time set aside; negative when the plan is too long. */
  readonly left: Seconds;
  readonly likely: LikelyLength;
  /** 0 to 1. */
  readonly chanceOnTime: number;
}

/** Places computed segments on the warm-up's clock (docs/model.md, section 6). */
export function placePlan(computed: readonly ComputedSegment[], allotted: Seconds): ComputedPlan {
  const placed = placeSegments(computed.map(({ seconds }) => seconds));
  const total = placed[placed.length - 1]?.to ?? 0;
  const likely = likelyLength(computed.map((segment) => segmentEstimate(segment)));
  return {
    segments: computed.map((segment, i) => ({ ...segment, placed: placed[i]! })),
    total,
    left: allotted - total,
    likely,
    chanceOnTime: chanceOnTime(likely, allotted),
  };
}

/** Computes a warm-up from its segments (docs/model.md, sections 5 and 6). */
export const computePlan = (
  segments: readonly PlannedSegment[],
  tonight: Tonight,
  allotted: Seconds,
): ComputedPlan =>
  placePlan(
    segments.map((segment) => computeSegment(segment, tonight)),
    allotted,
  );
