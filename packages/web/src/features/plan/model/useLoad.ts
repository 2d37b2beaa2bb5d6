import type { PlanLoad } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { useEffect, useMemo, useState } from 'react';

type Weigh = (plan: EvaluatedPlan) => PlanLoad;

/** The load of a plan; undefined until what works it out is fetched, which comes right behind the page. */
export function useLoad(plan: EvaluatedPlan): PlanLoad | undefined {
  const [weigh, setWeigh] = useState<Weigh>();
  useEffect(() => {
    let wanted = true;
    // Without it the plan is drawn as well, only without its effort.
    void import('./load').then(
      (it) => {
        if (wanted) setWeigh(() => it.planLoad);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, []);
  return useMemo(() => weigh?.(plan), [weigh, plan]);
}
