import type { Course } from '@wide-fern/contract';
import type { CourseHere } from '../../../here/courses/useCourses';

/** An id no course has yet. */
function freeId(courses: readonly CourseHere[]): string {
  const taken = new Set(courses.map(({ course }) => course.id));
  let number = 1;
  while (taken.has(`own-course-${number}`)) number += 1;
  return `own-course-${number}`;
}

type Step = Course['steps'][number];
const need: Step['need'] = { kind: 'managed', by: 'most' };
export const emptyStep: Step = { exercise: '', need, evenings: 2 };

/** A course that is begun from nothing. */
export const newCourse = (courses: readonly CourseHere[]): Course => ({
  id: freeId(courses),
  ...{ name: '', purpose: '' },
  steps: [emptyStep, emptyStep],
});

/** The choir's own course as it is, or one of its own begun from one that is built in. */
export const ownFrom = ({ course, isOwn }: CourseHere, courses: readonly CourseHere[]): Course =>
  isOwn ? course : { ...course, id: freeId(courses), name: `${course.name}, our way` };

/** The same steps with one of them moved by so many places. */
export function movedStep(steps: readonly Step[], from: number, by: number): Step[] {
  const to = from + by;
  const moved = steps[from];
  if (!moved || to < 0 || to >= steps.length) return [...steps];
  const rest = steps.filter((_, i) => i !== from);
  return [...rest.slice(0, to), moved, ...rest.slice(to)];
}

/** What a step needs, of another kind; figures begin where most begin. */
export const needOfKind = (kind: Step['need']['kind']): Step['need'] =>
  kind === 'managed' ? need : kind === 'keys' ? { kind, keys: 5 } : { kind, seconds: 10 };
