import { useQuery } from '@tanstack/react-query';
import { surenessQuery } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import type {
  Minded,
  PitchRange,
  PlanLoad,
  Reminder,
  SectionSureness,
  UnsureKey,
} from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { useEffect, useMemo, useState } from 'react';
import type * as tools from './behind';
import { useHere } from '../../../here/session';

type Tools = typeof tools;

/** What is worked out of a plan beside its keys and times. */
export interface Behind {
  readonly load: PlanLoad;
  /** How sure a part is of a span of notes; undefined where nothing is known of its singers, or not to everyone. */
  readonly sure: (part: string, span: PitchRange) => SectionSureness | undefined;
  readonly unsure: readonly UnsureKey[];
  /** Cautions that meet who is here, and what is to be remembered before the evening. */
  readonly minded: readonly Minded[];
  readonly reminders: readonly Reminder[];
}

/** The load of a plan and how sure its keys are; undefined until what works it out is fetched, right behind the page. */
export function useBehind(
  { id: evening, occasion }: Evening,
  plan: EvaluatedPlan,
): Behind | undefined {
  const { choir, mayEdit } = useHere();
  const [tools, setTools] = useState<Tools>();
  useEffect(() => {
    let wanted = true;
    // Without it the plan is drawn as well, only without what lies behind.
    void import('./behind').then(
      (it) => {
        if (wanted) setTools(it);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, []);
  // Of persons, though without names: whoever only reads is not told.
  const { data } = useQuery({ ...surenessQuery(choir.id, evening), enabled: mayEdit });
  const sure = useMemo(
    () => tools?.spanSureness(data?.parts ?? {}, data?.wanted ?? 1),
    [tools, data],
  );
  const load = useMemo(() => tools?.planLoad(plan), [tools, plan]);
  return useMemo(() => {
    if (!tools || !sure || !load) return undefined;
    const segments = plan.segments.map(({ segment: { id }, computed: { repetitions } }) => ({
      id,
      repetitions,
    }));
    const minded = plan.segments.map(({ segment: { exercise } }) => exercise);
    const { condition = 'rested' } = plan.document.tonight;
    return {
      ...{ load, sure, unsure: tools.unsureKeys(segments, sure) },
      minded: tools.mindedTonight(minded, { condition, states: data?.states ?? {} }),
      reminders: tools.remindersFor(minded, occasion),
    };
  }, [tools, sure, load, plan, data, occasion]);
}
