import type { Exercise } from '@wide-fern/contract';
import { breathExercises, releaseExercises } from './exercises/body-and-breath';
import { onsetExercises, resonanceExercises } from './exercises/first-sounds';
import { agilityExercises, rangeExercises } from './exercises/range-and-line';
import { articulationExercises, coolDownExercises, listeningExercises } from './exercises/together';

export { cautions } from './cautions';

/** The built-in exercises, in the order of the phases. */
export const exercises: readonly Exercise[] = [
  ...releaseExercises,
  ...breathExercises,
  ...onsetExercises,
  ...resonanceExercises,
  ...rangeExercises,
  ...agilityExercises,
  ...listeningExercises,
  ...articulationExercises,
  ...coolDownExercises,
];
