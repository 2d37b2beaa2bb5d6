import type { Course } from '@wide-fern/contract';
import type { CourseStep, CourseWay, StepWay } from '@wide-fern/core';
import { capitalise, counted, countInWords, listInWords, timesInWords } from './counting';

/** «most manage it», «five keys», «ten seconds out on one breath», and in how many evenings. */
export function needInWords({ need, evenings }: Pick<CourseStep, 'need' | 'evenings'>): string {
  const what =
    need.kind === 'managed'
      ? `${need.by} manage it`
      : need.kind === 'keys'
        ? counted(need.keys, 'key', 'keys')
        : `${counted(need.seconds, 'second', 'seconds')} out on one breath`;
  return evenings === 1 ? what : `${what}, in ${countInWords(evenings)} evenings`;
}

/**
 * How far a choir is with a step: «managed, 10 Nov», «managed once, once more to go», «led twice, not managed yet».
 * @param dayOf the day of a moment, as it is shown
 */
export function stepWayInWords(
  { step, led, managed, doneAt }: StepWay,
  dayOf: (moment: string) => string,
): string {
  if (doneAt !== null) return `managed, ${dayOf(doneAt)}`;
  if (managed.length > 0) {
    const left = timesInWords(step.evenings - managed.length);
    return `managed ${timesInWords(managed.length)}, ${left} more to go`;
  }
  return led.length > 0 ? `led ${timesInWords(led.length)}, not managed yet` : 'not led yet';
}

/** A course that is followed, with the way so far. */
export interface FollowedCourse {
  readonly course: Pick<Course, 'name' | 'steps'>;
  readonly way: CourseWay;
}

/** The exercise that comes next on a course; undefined when every step is managed. */
export const nextStep = ({ course, way }: FollowedCourse): CourseStep | undefined =>
  way.next === null ? undefined : course.steps[way.next];

/**
 * What comes next on the courses that are followed, in a sentence.
 * @param nameOf what an exercise is called
 */
export function coursesSentence(
  followed: readonly FollowedCourse[],
  nameOf: (exercise: string) => string,
): string {
  const [first] = followed;
  if (!first) return 'No course is followed now.';
  const next = [...new Set(followed.flatMap((one) => nextStep(one)?.exercise ?? []))].map(nameOf);
  if (followed.length === 1) {
    const { name } = first.course;
    return next[0] === undefined
      ? `“${name}”: every step is managed.`
      : `“${name}”: next is ${next[0]}.`;
  }
  const many = `${counted(followed.length, 'course is', 'courses are')} followed`;
  if (next.length === 0) return `${capitalise(many)}: every step is managed.`;
  return `${capitalise(many)}: next ${next.length === 1 ? 'is' : 'are'} ${listInWords(next)}.`;
}
