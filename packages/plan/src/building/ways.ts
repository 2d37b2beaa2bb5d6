import {
  variantsOf,
  type PlannableExercise,
  type PlannerSetting,
  type Variant,
} from '@wide-fern/core';

/** What the ways of an exercise depend on, beside itself. */
const settingKey = ({
  tonight,
  approach,
  level,
  ledAgo,
  givenUp,
  forbids,
  ages,
}: PlannerSetting): string => {
  const { sections, needs, condition } = tonight;
  const asked = [approach, level, ledAgo, givenUp, forbids, ages];
  return JSON.stringify([sections, needs, condition, ...asked]);
};

/** What was worked out for an exercise as it was then. */
interface Known {
  readonly exercise: PlannableExercise;
  readonly ways: Variant[];
}

/** Whether an exercise is the one it was: two choirs may each have one of the same name, and one may be made anew. */
const isSame = (a: PlannableExercise, b: PlannableExercise): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/**
 * The ways of exercises, each computed once as long as the setting stays the same: whatever else is asked
 * of it, an evening is not computed twice.
 */
export function rememberedWays(): typeof variantsOf {
  let setting: PlannerSetting | undefined;
  let key = '';
  let known = new Map<string, Known>();
  return (exercise: PlannableExercise, now: PlannerSetting, phase = exercise.phase) => {
    if (now !== setting) {
      setting = now;
      const next = settingKey(now);
      if (next !== key) known = new Map();
      key = next;
    }
    const id = `${exercise.id} ${phase}`;
    const found = known.get(id);
    if (found && isSame(found.exercise, exercise)) return found.ways;
    const ways = variantsOf(exercise, now, phase);
    known.set(id, { exercise, ways });
    return ways;
  };
}
