import type { Exercise } from '@wide-fern/contract';
import { exercisesQuery, messageOf, queryClient, storeExercises } from '@wide-fern/client';
import { useState } from 'react';

/** The choir's own exercise that an exercise is exactly like. */
async function alikeIn(choir: string, { name, music }: Exercise): Promise<Exercise | undefined> {
  const { own } = await queryClient.fetchQuery(exercisesQuery(choir));
  const same = JSON.stringify(music);
  return own.find((one) => one.name === name && JSON.stringify(one.music) === same);
}

/** Stores an exercise that was made; what came of it. */
export function useStoring(choir: string) {
  const [made, setMade] = useState<Exercise>();
  const [trouble, setTrouble] = useState<string>();
  const [isStoring, setStoring] = useState(false);
  /** Answers with the exercise as it is stored; undefined when it was not, which is said. */
  const store = async (exercise: Exercise): Promise<Exercise | undefined> => {
    setStoring(true);
    setTrouble(undefined);
    try {
      const { stored } = await storeExercises(choir, [exercise]);
      // One exactly like it is as good as this one.
      const one = stored[0] ?? (await alikeIn(choir, exercise));
      if (one) setMade(one);
      else setTrouble('An exercise exactly like this is here already.');
      return one;
    } catch (error) {
      setTrouble(messageOf(error));
      return undefined;
    } finally {
      setStoring(false);
    }
  };
  return { made, trouble, isStoring, store };
}
