import type { PlanDocument, Plan } from '@wide-fern/contract';
import { emptyDocument, factsOf } from '@wide-fern/plan';
import { ApiError, call } from '../call/call';
import { planQuery, queryClient, type PlanPlace } from '../queries';

/**
 * Stores a first plan of a warm-up that is not open here, as one named edit. Where somebody planned it
 * meanwhile nothing is stored.
 */
export async function beginPlan(
  place: PlanPlace,
  document: PlanDocument,
): Promise<'stored' | 'planned'> {
  const { plan } = await call('showPlan', { params: place });
  // One that was emptied again is free.
  if (plan && plan.document.segments.length > 0) return 'planned';
  const edit = { kind: 'replace', document, as: 'built' } as const;
  const edits = factsOf(edit, emptyDocument(document.tonight), document);
  try {
    const stored = await call('savePlan', {
      params: place,
      body: { version: plan?.version ?? 0, document, edits },
    });
    const saved: Plan = { ...stored, document };
    queryClient.setQueryData(planQuery(place).queryKey, saved);
    return 'stored';
  } catch (error) {
    if (!(error instanceof ApiError) || error.status !== 409) throw error;
    await queryClient.invalidateQueries({ queryKey: planQuery(place).queryKey });
    return 'planned';
  }
}
