import { exercisesQuery } from '@wide-fern/client';
import type { Evening, Exercise } from '@wide-fern/contract';
import { own, type Purpose } from '@wide-fern/core';
import { bringingMissing, type EvaluatedPlan } from '@wide-fern/plan';
import type { QueryClient } from '@tanstack/react-query';
import { builtInQuery } from '../../../here/builtIn';

/** What would bring a skill that is still missing, and whether it is new to the choir. */
export interface Brought {
  readonly exercise: Exercise;
  readonly isNew: boolean;
}

/**
 * The exercise that best brings a skill and has time tonight, of the built-in ones and the choir's own;
 * undefined where none does.
 */
export async function bringing(
  queries: QueryClient,
  choir: string,
  { wishes, forbids }: Evening,
  plan: EvaluatedPlan,
  skill: Purpose,
): Promise<Brought | undefined> {
  const [builtIn, choirs] = await Promise.all([
    queries.ensureQueryData(builtInQuery),
    queries.ensureQueryData(exercisesQuery(choir)),
  ]);
  const { marks, lastUsed } = choirs;
  const shown = [...builtIn, ...choirs.own].filter(({ id }) => !own(marks, id)?.hidden);
  const wished = wishes.filter((wish) => wish.skill === skill);
  const [found] = bringingMissing(plan, shown, { wishes: wished, forbids, left: plan.left });
  if (!found) return undefined;
  const { exercise } = found;
  return { exercise, isNew: own(lastUsed, exercise.id) === undefined };
}
