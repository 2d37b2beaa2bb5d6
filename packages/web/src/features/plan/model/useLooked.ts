import type { EvaluatedPlan } from '@wide-fern/plan';
import { useMemo } from 'react';
import { useHeld } from '../../../ui/useHeld';
import type { Behind } from './useBehind';

/** A plan with what lies behind it, of one moment. */
interface Looked {
  readonly plan: EvaluatedPlan;
  readonly behind: Behind;
}

/**
 * The plan in which is sought what to look at and what would help: as it is, and while something is pulled as
 * it was before, since seeking takes longer than a frame. Undefined until what lies behind is there.
 */
export function useLooked(
  plan: EvaluatedPlan,
  behind: Behind | undefined,
  isPulled: boolean,
): Looked | undefined {
  const now = useMemo(() => behind && { plan, behind }, [plan, behind]);
  return useHeld(now, isPulled);
}
