import { exerciseSchema } from './exercise';
import { z } from './zod';

/** The word by which a file of exercises is known. */
export const exerciseFileFormat = 'wide-fern-exercises';
/** The shape of exercises in a file as it is now; older ones are brought up to it when they are read. */
export const exerciseFileVersion = 3;
/** More exercises than this are not read from one file. */
export const mostInFile = 2000;

/** Exercises as a file: the whole catalogue or a selection, nothing left out. */
export const exerciseFileSchema = z.object({
  format: z.literal(exerciseFileFormat),
  version: z.literal(exerciseFileVersion),
  exercises: z.array(exerciseSchema).max(mostInFile),
});
export type ExerciseFile = z.infer<typeof exerciseFileSchema>;
