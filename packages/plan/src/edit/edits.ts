import {
  choiceLimits,
  mostSegments,
  type Choices,
  type Exercise,
  type OptionalChoice,
  type PlanDocument,
  type PlanEdit,
  type Segment,
} from '@wide-fern/contract';
import { firstTalk, placeInOrder } from '@wide-fern/core';

/** What stands before a place among segments; null at the beginning. */
export const beforePlace = (segments: readonly Segment[], place: number): string | null =>
  segments[place - 1]?.id ?? null;

/** What an exercise's choices are when it becomes a segment: as usual, with more talk where it was never led here. */
export const choicesAtFirst = (exercise: Exercise, isNew: boolean): Choices => ({
  ...exercise.usual,
  talk: isNew ? inLimits('talk', firstTalk(exercise.usual.talk)) : exercise.usual.talk,
  start: null,
});

/**
 * Adds an exercise, with its first choices.
 * @param after the segment it follows, null at the beginning; where its phase belongs when it is not said
 */
export function addExercise(
  document: PlanDocument,
  exercise: Exercise,
  id: string,
  isNew = false,
  after?: string | null,
): PlanEdit {
  const phases = document.segments.map((segment) => segment.exercise.phase);
  return {
    kind: 'add',
    segment: { id, exercise, choices: choicesAtFirst(exercise, isNew) },
    after:
      after === undefined
        ? beforePlace(document.segments, placeInOrder(phases, exercise.phase))
        : after,
  };
}

export const takeOut = (id: string): PlanEdit => ({ kind: 'take-out', id });

/** Moves a segment to a place among the others, counted from 0; a place beyond the ends is the end. */
export function moveTo({ segments }: PlanDocument, id: string, to: number): PlanEdit {
  const others = segments.filter((segment) => segment.id !== id);
  const place = Math.min(others.length, Math.max(0, to));
  return { kind: 'move', id, after: beforePlace(others, place) };
}

/** A figure that is chosen, within what can be chosen. */
export const inLimits = (name: keyof typeof choiceLimits, value: number): number => {
  const [least, most] = choiceLimits[name];
  return Math.min(most, Math.max(least, value));
};

/** Changes what is chosen for a segment; figures stay within their limits, and what is undefined is taken back. */
export function choose(
  id: string,
  changed: { readonly [Name in keyof Choices]?: Choices[Name] | undefined },
): PlanEdit {
  const choices = { ...changed } as Partial<Choices>;
  for (const name of ['tempo', 'repetitions', 'verses', 'step', 'talk'] as const) {
    const value = changed[name];
    if (value !== undefined) choices[name] = inLimits(name, value);
  }
  const without = (Object.keys(choices) as (keyof Choices)[]).filter(
    (name): name is OptionalChoice => choices[name] === undefined,
  );
  for (const name of without) delete choices[name];
  return { kind: 'choose', id, choices, ...(without.length > 0 ? { without } : {}) };
}

/** Puts another document in place of the whole plan. */
export const replaceBy = (document: PlanDocument): PlanEdit => ({ kind: 'replace', document });

/** Whether a plan takes no more segments. */
export const isFull = ({ segments }: PlanDocument): boolean => segments.length >= mostSegments;
