import { useMutation } from '@tanstack/react-query';
import type { ChoirExercises, Exercise, ExerciseMark, StoredExercises } from '@wide-fern/contract';
import { ask, exercisesPath, exercisesQuery, queryClient } from '@wide-fern/client';

const change = (choir: string, how: (was: ChoirExercises) => ChoirExercises): void => {
  queryClient.setQueryData<ChoirExercises>(
    exercisesQuery(choir).queryKey,
    (was) => was && how(was),
  );
};

/** Keeps what the choir thinks of an exercise; it is seen at once and taken back when it is refused. */
export function useMarking(
  choir: string,
  exercise: string,
  /** Told when it is stored, also when whoever asked has gone on. */
  onStored?: (mark: ExerciseMark) => void,
) {
  return useMutation({
    mutationFn: (mark: ExerciseMark) =>
      ask<ExerciseMark>(`${exercisesPath(choir)}/${exercise}/mark`, { method: 'PUT', body: mark }),
    onMutate: async (mark) => {
      await queryClient.cancelQueries(exercisesQuery(choir));
      const before = queryClient.getQueryData(exercisesQuery(choir).queryKey);
      change(choir, (was) => ({ ...was, marks: { ...was.marks, [exercise]: mark } }));
      return before;
    },
    onSuccess: (_answer, mark) => onStored?.(mark),
    onError: (_error, _mark, before) => {
      if (before) queryClient.setQueryData(exercisesQuery(choir).queryKey, before);
    },
  });
}

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
    const { stored, alike } = await ask<StoredExercises>(exercisesPath(choir), {
      method: 'POST',
      body,
    });
    all.stored.push(...stored);
    all.alike.push(...alike);
    change(choir, (was) => ({ ...was, own: [...was.own, ...stored] }));
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
  const path = `${exercisesPath(choir)}/${exercise.id}`;
  const changed = await ask<Exercise>(path, { method: 'PUT', body: { version, exercise } });
  change(choir, (was) => ({
    ...was,
    own: was.own.map((one) => (one.id === changed.id ? changed : one)),
  }));
  await queryClient.invalidateQueries({
    queryKey: [...exercisesQuery(choir).queryKey, exercise.id],
  });
  return changed;
}

/** Throws one away, or brings it back. */
export function useThrowingAway(choir: string) {
  return useMutation({
    mutationFn: ({ exercise, away }: { exercise: Exercise; away: boolean }) =>
      ask<undefined>(`${exercisesPath(choir)}/${exercise.id}${away ? '' : '/back'}`, {
        method: away ? 'DELETE' : 'POST',
      }),
    onSuccess: (_answer, { exercise, away }) => {
      change(choir, (was) => ({
        ...was,
        own: away
          ? was.own.filter(({ id }) => id !== exercise.id)
          : [...was.own.filter(({ id }) => id !== exercise.id), exercise],
      }));
    },
  });
}
