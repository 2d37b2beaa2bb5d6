import type { Exercise, Wish } from '@wide-fern/contract';
import type { PlaceNeed, Purpose, Seconds } from '@wide-fern/core';
import { candidate } from './remembered';
import type { EvaluatedPlan } from './evaluate';

/** An exercise that would bring what is still missing, and what that is. */
export interface Missing {
  readonly exercise: Exercise;
  readonly serves: readonly Purpose[];
}

/** More nobody looks through before taking one. */
const mostMissing = 6;

/** What judged runs wish for and no segment of the plan serves. */
export function stillMissing({ segments }: EvaluatedPlan, wishes: readonly Wish[]): Purpose[] {
  const served = new Set(segments.flatMap(({ segment }) => segment.exercise.purposes));
  return [...new Set(wishes.map(({ skill }) => skill))].filter((skill) => !served.has(skill));
}

/**
 * Exercises that bring what is still missing and fit tonight: the place allows them, they can be sung, and there
 * is time for them. Those first that bring most, then the shorter ones.
 * @param left the time that nothing fills yet
 */
export function bringingMissing(
  plan: EvaluatedPlan,
  exercises: readonly Exercise[],
  {
    wishes,
    forbids,
    left,
  }: {
    readonly wishes: readonly Wish[];
    readonly forbids: readonly PlaceNeed[];
    readonly left: Seconds;
  },
): Missing[] {
  const missing = stillMissing(plan, wishes);
  if (missing.length === 0) return [];
  const { tonight } = plan.document;
  const inPlan = new Set(plan.segments.map(({ segment }) => segment.exercise.id));
  return exercises
    .flatMap((exercise) => {
      const serves = missing.filter((skill) => exercise.purposes.includes(skill));
      if (serves.length === 0 || inPlan.has(exercise.id)) return [];
      if (exercise.needs.some((need) => forbids.includes(need))) return [];
      const { seconds, keys } = candidate(exercise, tonight);
      if (seconds > left || (keys.kind !== 'none' && !keys.sung)) return [];
      return [{ exercise, serves, seconds }];
    })
    .sort((one, other) => other.serves.length - one.serves.length || one.seconds - other.seconds)
    .slice(0, mostMissing);
}
