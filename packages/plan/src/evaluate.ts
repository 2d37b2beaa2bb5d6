import type { PlanDocument, Segment } from '@wide-fern/contract';
import {
  placePlan,
  type ComputedPlan,
  type ComputedSegment,
  type Placed,
  type Seconds,
} from '@wide-fern/core';
import { computed } from './remembered';

/** A segment with what was computed for it. */
export interface Evaluated {
  readonly segment: Segment;
  readonly computed: ComputedSegment & { readonly placed: Placed };
}

/** A plan's document with everything computed from it, as the views draw it. */
export interface EvaluatedPlan extends Omit<ComputedPlan, 'segments'> {
  readonly document: PlanDocument;
  readonly allotted: Seconds;
  readonly segments: readonly Evaluated[];
}

/** Computes a plan from its document, by the same core as everywhere; segments that stayed the same are remembered. */
export function evaluate(document: PlanDocument, allotted: Seconds): EvaluatedPlan {
  const { tonight } = document;
  const { segments, ...plan } = placePlan(
    document.segments.map((segment) => computed(segment, tonight)),
    allotted,
  );
  return {
    ...plan,
    document,
    allotted,
    segments: document.segments.map((segment, i) => ({ segment, computed: segments[i]! })),
  };
}
