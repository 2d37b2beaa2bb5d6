import { exerciseSchema } from './exercise';
import { z } from './zod';

/** Sent at once when many are stored; a longer list is sent in turns. */
const mostExercisesAtOnce = 200;

/** What a choir thinks of an exercise, built in or its own. */
export const exerciseMarkSchema = z.object({
  favourite: z.boolean(),
  hidden: z.boolean(),
  note: z.string().trim().max(1000, 'At most 1000 characters.'),
  /** What was learned by leading it counts from then on; all of it where nothing is said. */
  learnedFrom: z.iso.datetime().optional(),
});
export type ExerciseMark = z.infer<typeof exerciseMarkSchema>;

/** Everything a choir has about exercises beside the built-in ones. */
export const choirExercisesSchema = z.object({
  own: z.array(exerciseSchema),
  /** By the exercise's id. */
  marks: z.record(z.string(), exerciseMarkSchema),
  /** When each was last part of a warm-up that has been; by the exercise's id. */
  lastUsed: z.record(z.string(), z.iso.datetime()),
});
export type ChoirExercises = z.infer<typeof choirExercisesSchema>;

/** New exercises of a choir's own. An id that is taken is changed. */
export const storeExercisesSchema = z.object({
  exercises: z
    .array(exerciseSchema)
    .min(1, 'There is no exercise to store.')
    .max(mostExercisesAtOnce, `At most ${mostExercisesAtOnce} exercises at once.`),
});
export type StoreExercises = z.infer<typeof storeExercisesSchema>;

/** What became of them. */
export const storedExercisesSchema = z.object({
  stored: z.array(exerciseSchema),
  /** Names of exercises that are here already, exactly alike. */
  alike: z.array(z.string()),
});
export type StoredExercises = z.infer<typeof storedExercisesSchema>;

/** Changing one: the version the change started from, and the exercise as it shall be. */
export const changeExerciseSchema = z.object({
  version: z.int().min(1),
  exercise: exerciseSchema,
});
export type ChangeExercise = z.infer<typeof changeExerciseSchema>;

/** One version of an exercise as it was. */
export const exerciseVersionSchema = z.object({
  version: z.int().min(1),
  savedAt: z.iso.datetime(),
  savedBy: z.string(),
  exercise: exerciseSchema,
});
export type ExerciseVersion = z.infer<typeof exerciseVersionSchema>;
