import { useQuery } from '@tanstack/react-query';
import { exercisesQuery, ledOnceQuery } from '@wide-fern/client';
import { ledTimes, withLikely, type EvaluatedPlan } from '@wide-fern/plan';
import { useCallback, useMemo } from 'react';
import { useHere } from './session';

/** Gives a plan its likely end by what was led here; as it is planned while that is not known. */
export function useLikely(): (plan: EvaluatedPlan) => EvaluatedPlan {
  const { choir } = useHere();
  const led = useQuery(ledOnceQuery(choir.id)).data;
  const marks = useQuery(exercisesQuery(choir.id)).data?.marks;
  const times = useMemo(() => led && ledTimes(led, marks), [led, marks]);
  return useCallback((plan) => (times ? withLikely(plan, times) : plan), [times]);
}
