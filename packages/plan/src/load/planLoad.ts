import type { Segment } from '@wide-fern/contract';
import {
  loadOf,
  partLoads,
  type ComputedSegment,
  type PartLoad,
  type PlanLoad,
  type Section,
  type SegmentLoad,
  type Tonight,
} from '@wide-fern/core';
import type { Evaluated, EvaluatedPlan } from '../evaluate';

/** What segments added up to as they were sung last; an edit keeps every segment it does not change. */
const loads = new WeakMap<
  Segment,
  Pick<ComputedSegment, 'repetitions'> & Pick<Tonight, 'sections'> & Pick<SegmentLoad, 'parts'>
>();

/** What a segment adds up to, worked out once for as long as it is sung the same way by the same sections. */
function knownLoads(one: Evaluated, sections: readonly Section[]): readonly PartLoad[] {
  const { repetitions } = one.computed;
  const known = loads.get(one.segment);
  if (known?.repetitions === repetitions && known.sections === sections) return known.parts;
  const parts = partLoads(one, sections);
  loads.set(one.segment, { repetitions, sections, parts });
  return parts;
}

/** The load of a plan that was computed. */
export const planLoad = (plan: EvaluatedPlan): PlanLoad =>
  loadOf(plan.segments, plan.document.tonight, knownLoads);
