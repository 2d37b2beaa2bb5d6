import type { Exercise, Plan, PlanDocument, PlanEdit, Segment } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';
import { addExercise, bringIn, emptyDocument, factsOf, isFull, perform } from '@wide-fern/plan';
import { ApiError, call } from '../call/call';
import { newId } from '../device/windows';
import { planQuery, queryClient, type PlanPlace } from '../queries';

/** What became of it. */
export type PutInto = 'put' | 'full';

/**
 * Changes a plan that is not open here, as one named edit. When somebody else saves at the same moment it is
 * done to theirs.
 * @param make the edit; undefined where the plan has no room for it
 */
async function changePlan(
  place: PlanPlace,
  tonight: Tonight,
  make: (before: PlanDocument) => PlanEdit | undefined,
): Promise<PutInto> {
  for (let tries = 3; ; tries -= 1) {
    const { plan } = await call('showPlan', { params: place });
    const before = plan?.document ?? emptyDocument(tonight);
    const edit = make(before);
    if (!edit) return 'full';
    // It got through before, and only its answer was lost.
    if (edit.kind === 'together' && edit.edits.length === 0) return 'put';
    const document = perform(before, edit)?.document ?? before;
    const edits = factsOf(edit, before, document);
    try {
      const body = { version: plan?.version ?? 0, document, edits };
      const stored = await call('savePlan', { params: place, body });
      const saved: Plan = { ...stored, document };
      queryClient.setQueryData(planQuery(place).queryKey, saved);
      return 'put';
    } catch (error) {
      const isClash = error instanceof ApiError && error.status === 409;
      if (!isClash || tries <= 1) throw error;
    }
  }
}

/** Puts an exercise into a plan that is not open here, where its phase belongs. */
export const putIntoPlan = (
  place: PlanPlace,
  exercise: Exercise,
  tonight: Tonight,
): Promise<PutInto> =>
  changePlan(place, tonight, (before) =>
    isFull(before) ? undefined : addExercise(before, exercise, newId()),
  );

/**
 * Puts segments, as they are planned, at the end of a plan that is not open here; all of them or none.
 * @param idFor the id that a segment has there: tried again with the same, it is not there twice
 */
export const bringIntoPlan = (
  place: PlanPlace,
  segments: readonly Segment[],
  tonight: Tonight,
  idFor: (segment: Segment) => string = newId,
): Promise<PutInto> => changePlan(place, tonight, (before) => bringIn(before, segments, idFor));
