import type { Exercise, Segment } from '@wide-fern/contract';
import {
  hasKeys,
  variantFor,
  type OwnPoints,
  type PlannerSetting,
  type Purpose,
  type Seconds,
} from '@wide-fern/core';
import { choicesAtFirst } from './edits';
import { computed } from '../remembered';

/** How another exercise stands to the one it would replace. */
export type Likeness = 'family' | 'easier' | 'harder' | 'similar';
export const likenesses: readonly Likeness[] = ['family', 'easier', 'similar', 'harder'];

/** An exercise that could stand in a segment's place, and what that would change. */
export interface Instead {
  readonly exercise: Exercise;
  readonly likeness: Likeness;
  readonly isNew: boolean;
  /** By how much the plan gets longer. */
  readonly longer: Seconds;
  /** By how much a part strains more in a key, on average; below 0 it strains less. */
  readonly strain: number;
  /** By how many half minutes what is wished for is served more, each counted by its weight. */
  readonly served: number;
  /** What is wished for and served only then; what is no longer. */
  readonly gains: readonly Purpose[];
  readonly loses: readonly Purpose[];
}

/** What is looked at for it. */
export interface InsteadSetting extends PlannerSetting {
  readonly wishes: Readonly<Partial<Record<Purpose, number>>>;
}

/** More of one likeness nobody compares. */
const mostOfEach = 5;
const half: Seconds = 30;
/** A half minute on what is wished for weighs as much as so much strain, or so many half minutes. */
const perServed = 4;

const load = ({ difficulty, effort }: Exercise): number => 2 * difficulty + effort;

/** How an exercise stands to another; undefined where they have too little in common. */
function likenessOf(one: Exercise, other: Exercise): Likeness | undefined {
  if (other.family && other.family.id === one.family?.id) return 'family';
  if (other.phase !== one.phase || hasKeys(other.music) !== hasKeys(one.music)) return undefined;
  if (!other.purposes.some((purpose) => one.purposes.includes(purpose))) return undefined;
  const { difficulty, effort } = other;
  if (load(other) < load(one) && difficulty <= one.difficulty && effort <= one.effort)
    return 'easier';
  if (load(other) > load(one) && difficulty >= one.difficulty && effort >= one.effort)
    return 'harder';
  return load(other) === load(one) ? 'similar' : undefined;
}

/** What a segment serves and strains, and how long it is. */
function weighed(segment: Segment, setting: InsteadSetting) {
  const { candidate, own } = variantFor(segment.id, segment.exercise, segment.choices, setting);
  return { seconds: candidate.seconds, serves: candidate.serves, own };
}

const servedIn = (
  serves: Readonly<Record<string, Seconds>>,
  wishes: InsteadSetting['wishes'],
): number =>
  Object.entries(wishes).reduce(
    (sum, [skill, weight]) => sum + (weight * (serves[skill] ?? 0)) / half,
    0,
  );

const strainOf = ({ strain }: OwnPoints): number => -strain || 0;

/**
 * What could stand in a segment's place: of its family, easier, similar or harder, at most five of each, those
 * first that do most for what is wished, then those that strain less and change the time least. What the place
 * does not allow, what nobody can sing tonight, and what is in the plan already are left out.
 * @param inPlan the exercises of the plan
 */
export function insteadFor(
  segment: Segment,
  exercises: readonly Exercise[],
  setting: InsteadSetting,
  inPlan: ReadonlySet<string>,
): Instead[] {
  const before = weighed(segment, setting);
  const wished = Object.keys(setting.wishes) as Purpose[];
  const servedBefore = servedIn(before.serves, setting.wishes);
  const found = exercises.flatMap((exercise): Instead[] => {
    if (inPlan.has(exercise.id) || exercise.id === segment.exercise.id) return [];
    if (exercise.needs.some((need) => setting.forbids.includes(need))) return [];
    const likeness = likenessOf(segment.exercise, exercise);
    if (!likeness) return [];
    const isNew = setting.ledAgo[exercise.id] === undefined;
    const other: Segment = { id: segment.id, exercise, choices: choicesAtFirst(exercise, isNew) };
    const { keys } = computed(other, setting.tonight);
    if (keys.kind !== 'none' && !keys.sung) return [];
    const { seconds, serves, own } = weighed(other, setting);
    const has = (purpose: Purpose, of: Readonly<Record<string, Seconds>>) => (of[purpose] ?? 0) > 0;
    return [
      {
        ...{ exercise, likeness, isNew },
        longer: seconds - before.seconds,
        strain: strainOf(own) - strainOf(before.own) || 0,
        served: servedIn(serves, setting.wishes) - servedBefore,
        gains: wished.filter((skill) => has(skill, serves) && !has(skill, before.serves)),
        loses: wished.filter((skill) => has(skill, before.serves) && !has(skill, serves)),
      },
    ];
  });
  const worth = ({ served, strain, longer }: Instead): number =>
    perServed * served - strain - Math.abs(longer) / half;
  const ranked = found.sort(
    (one, other) => worth(other) - worth(one) || (one.exercise.name < other.exercise.name ? -1 : 1),
  );
  return likenesses.flatMap((likeness) =>
    ranked.filter((one) => one.likeness === likeness).slice(0, mostOfEach),
  );
}
