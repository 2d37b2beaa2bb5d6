import {
  exerciseFileFormat,
  exerciseFileVersion,
  exerciseFileSchema,
  exerciseSchema,
  mostInFile,
  upcastExercise,
  z,
  type Exercise,
} from '@wide-fern/contract';
import { notes as collect, refuse, type NotKept } from '../common/found';

/** Exercises found in a file, and those that could not be read. */
export interface FoundExercises {
  readonly exercises: readonly Exercise[];
  readonly notKept: readonly NotKept[];
}

/** Exercises as a JSON file by the published schema; nothing is left out. */
export const writeJson = (exercises: readonly Exercise[]): string =>
  `${JSON.stringify({ format: exerciseFileFormat, version: exerciseFileVersion, exercises }, null, 2)}\n`;

/** Files of every version that was ever written are read. */
const headSchema = exerciseFileSchema
  .pick({ format: true })
  .extend({ version: z.int().min(1).max(exerciseFileVersion) });

/**
 * Reads such a file. An exercise that keeps to the schema is taken; of another one it is said what
 * is wrong with it.
 * @throws UnreadableFile with words for a person
 */
export function readJson(text: string): FoundExercises {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return refuse('This file is no whole JSON: it breaks off or is damaged. Save it again.');
  }
  const head = headSchema.safeParse(data);
  if (!head.success) {
    return refuse(
      `This JSON file holds no exercises: it does not begin with "${exerciseFileFormat}".`,
    );
  }
  const list: unknown = (data as { exercises?: unknown }).exercises;
  if (!Array.isArray(list)) return refuse('This file has no list of exercises.');
  if (list.length > mostInFile) {
    return refuse(
      `This file has ${list.length} exercises; at most ${mostInFile} are read at once.`,
    );
  }
  const notKept = collect();
  const exercises = list.flatMap((one: unknown, i): Exercise[] => {
    const read = exerciseSchema.safeParse(upcastExercise(one));
    if (read.success) return [read.data];
    const name = (one as { name?: unknown } | null)?.name;
    const [issue] = read.error.issues;
    const where = typeof name === 'string' ? name.slice(0, 60) : `exercise ${i + 1}`;
    notKept.add(where, `${issue?.path.join(', ') || 'It'}: ${issue?.message ?? 'is not right.'}`);
    return [];
  });
  if (exercises.length === 0) {
    const why = notKept.list[0];
    return refuse(
      `No exercise in this file can be read.${why ? ` ${why.where}, ${why.what}` : ''}`,
    );
  }
  return { exercises, notKept: notKept.list };
}
