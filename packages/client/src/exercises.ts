import type { ChoirExercises, Exercise, StoredExercises } from '@wide-fern/contract';
import { call } from './call/call';
import { exercisesQuery, exerciseVersionsQuery, queryClient } from './queries';

/** Changes what the pages hold of a choir's exercises, as far as they hold anything. */
export const changeOwnExercises = (
  choir: string,
  how: (was: ChoirExercises) => ChoirExercises,
): void => {
  queryClient.setQueryData<ChoirExercises>(
    exercisesQuery(choir).queryKey,
    (was) => was && how(was),
  );
};

/** How many are sent at once. */
const turn = 100;

/** Stores new exercises, in turns when they are many; says how far it is. */
export async function storeExercises(
  choir: string,
  exercises: readonly Exercise[],
  onStored: (count: number) => void = () => undefined,
): Promise<StoredExercises> {
  const all: StoredExercises = { stored: [], alike: [] };
  for (let at = 0; at < exercises.length; at += turn) {
    const body = { exercises: exercises.slice(at, at + turn) };
    const { stored, alike } = await call('storeExercises', { params: { choir }, body });
    all.stored.push(...stored);
    all.alike.push(...alike);
    changeOwnExercises(choir, (was) => ({ ...was, own: [...was.own, ...stored] }));
    onStored(Math.min(exercises.length, at + turn));
  }
  return all;
}

/** Stores a new version of one. */
export async function changeExercise(
  choir: string,
  exercise: Exercise,
  version: number,
): Promise<Exercise> {
  const changed = await call('changeExercise', {
    params: { choir, exercise: exercise.id },
    body: { version, exercise },
  });
  changeOwnExercises(choir, (was) => ({
    ...was,
    own: was.own.map((one) => (one.id === changed.id ? changed : one)),
  }));
  await queryClient.invalidateQueries({
    queryKey: exerciseVersionsQuery(choir, exercise.id).queryKey,
  });
  return changed;
}
