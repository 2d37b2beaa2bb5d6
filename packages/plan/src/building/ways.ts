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

/**
 * The ways of exercises, each computed once as long as the setting stays the same: whatever else is asked
 * of it, an evening is not computed twice.
 */
export function rememberedWays(): typeof variantsOf {
  let setting: PlannerSetting | undefined;
  let key = '';
  let known = new Map<string, Variant[]>();
  return (exercise: PlannableExercise, now: PlannerSetting, phase = exercise.phase) => {
    if (now !== setting) {
      setting = now;
      const next = settingKey(now);
      if (next !== key) known = new Map();
      key = next;
    }
    const { version } = exercise as { version?: number };
    const id = `${exercise.id} ${version ?? ''} ${phase}`;
    const found = known.get(id) ?? variantsOf(exercise, now, phase);
    known.set(id, found);
    return found;
  };
}
