import { useMutation } from '@tanstack/react-query';
import { call, changeOwnExercises, exercisesQuery, queryClient } from '@wide-fern/client';
import type { ExerciseMark } from '@wide-fern/contract';

/** What is thought of an exercise that nobody marked. */
export const noMark: ExerciseMark = { favourite: false, hidden: false, note: '' };

/** Keeps what the choir thinks of an exercise; it is seen at once and taken back when it is refused. */
export function useMarking(
  choir: string,
  exercise: string,
  /** Told when it is stored, also when whoever asked has gone on. */
  onStored?: (mark: ExerciseMark) => void,
) {
  return useMutation({
    mutationFn: (mark: ExerciseMark) =>
      call('markExercise', { params: { choir, exercise }, body: mark }),
    onMutate: async (mark) => {
      await queryClient.cancelQueries(exercisesQuery(choir));
      const before = queryClient.getQueryData(exercisesQuery(choir).queryKey);
      changeOwnExercises(choir, (was) => ({ ...was, marks: { ...was.marks, [exercise]: mark } }));
      return before;
    },
    onSuccess: (_answer, mark) => onStored?.(mark),
    onError: (_error, _mark, before) => {
      if (before) queryClient.setQueryData(exercisesQuery(choir).queryKey, before);
    },
  });
}
