import { line, maybeLine } from './common';
import { z } from './zod';

const courseId = z
  .string()
  .regex(/^[a-z0-9-]{1,60}$/, 'An id has small letters, figures and hyphens.');

const needSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('managed'), by: z.enum(['most', 'all']) }),
  z.object({
    kind: z.literal('keys'),
    keys: z.int('Keys are whole.').min(1, 'At least one key.').max(24, 'At most 24 keys.'),
  }),
  z.object({
    kind: z.literal('breath'),
    seconds: z
      .number('Seconds are a number.')
      .min(1, 'At least one second.')
      .max(60, 'At most 60 seconds on one breath.'),
  }),
]);

/** One exercise of a course, and what has to be managed in how many evenings before the next. */
const courseStepSchema = z.object({
  exercise: z.string().regex(/^[a-z0-9-]{1,60}$/, 'Choose an exercise.'),
  need: needSchema,
  evenings: z
    .int('Evenings are whole.')
    .min(1, 'In one evening at least.')
    .max(8, 'In eight evenings at most.'),
});

/** An ordered row of exercises over weeks. */
export const courseSchema = z.object({
  id: courseId,
  name: line(60),
  /** What it is for; may be empty. */
  purpose: maybeLine(200),
  steps: z
    .array(courseStepSchema)
    .min(2, 'A course has at least two steps.')
    .max(12, 'A course has at most twelve steps.')
    .refine((steps) => {
      // What is not chosen yet is said at its own field.
      const chosen = steps.map(({ exercise }) => exercise).filter((one) => one !== '');
      return new Set(chosen).size === chosen.length;
    }, 'An exercise stands here twice. Choose another one, or take a step away.'),
});
export type Course = z.infer<typeof courseSchema>;

/** What a choir keeps of a course: the course itself where it is its own, and since when it follows it. */
const keptCourseSchema = z.object({
  /** Null for one that is built in. */
  course: courseSchema.nullable(),
  /** Null while it is not followed. */
  since: z.iso.datetime().nullable(),
});
export type KeptCourse = z.infer<typeof keptCourseSchema>;

/** So many courses a choir keeps at most. */
export const mostCourses = 40;

const courses = <T extends z.ZodType>(kept: T) =>
  z
    .record(courseId, kept)
    .refine((all) => Object.keys(all).length <= mostCourses, `At most ${mostCourses} courses.`);

/** A choir's courses by their ids. */
export const coursesSchema = courses(keptCourseSchema).refine(
  (all) => Object.entries(all).every(([id, { course }]) => course === null || course.id === id),
  'A course stands under its own id.',
);
export type Courses = z.infer<typeof coursesSchema>;

/** What of them is changed: those that are sent, each whole, or null for one that is thrown away. */
export const changeCoursesSchema = courses(keptCourseSchema.nullable()).refine(
  (all) => Object.entries(all).every(([id, kept]) => !kept?.course || kept.course.id === id),
  'A course stands under its own id.',
);
