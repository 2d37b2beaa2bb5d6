import type { Exercise, Plan } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';
import { addExercise, emptyDocument, factsOf, isFull, perform } from '@wide-fern/plan';
import { ApiError, call } from '../call/call';
import { newId } from '../device/windows';
import { planQuery, queryClient, type PlanPlace } from '../queries';

/** What became of it. */
export type PutInto = 'put' | 'full';

/**
 * Puts an exercise into a plan that is not open here, where its phase belongs, as one named edit.
 * When somebody else saves at the same moment it is put into theirs.
 */
export async function putIntoPlan(
  place: PlanPlace,
  exercise: Exercise,
  tonight: Tonight,
): Promise<PutInto> {
  for (let tries = 3; ; tries -= 1) {
    const { plan } = await call('showPlan', { params: place });
    const before = plan?.document ?? emptyDocument(tonight);
    if (isFull(before)) return 'full';
    const edit = addExercise(before, exercise, newId());
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
