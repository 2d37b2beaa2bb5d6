import { useMutation } from '@tanstack/react-query';
import type { Exercise } from '@wide-fern/contract';
import { call, changeOwnExercises } from '@wide-fern/client';

/** Throws one away, or brings it back. */
export function useThrowingAway(choir: string) {
  return useMutation({
    mutationFn: ({ exercise, away }: { exercise: Exercise; away: boolean }) =>
      call(away ? 'removeExercise' : 'bringExerciseBack', {
        params: { choir, exercise: exercise.id },
      }),
    onSuccess: (_answer, { exercise, away }) => {
      changeOwnExercises(choir, (was) => ({
        ...was,
        own: away
          ? was.own.filter(({ id }) => id !== exercise.id)
          : [...was.own.filter(({ id }) => id !== exercise.id), exercise],
      }));
    },
  });
}
