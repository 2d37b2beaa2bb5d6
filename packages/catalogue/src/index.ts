import type { Exercise } from '@wide-fern/contract';
import { linked } from './exercises/linked';
import { agilityExercises } from './exercises/agility';
import { articulationExercises } from './exercises/articulation';
import { breathExercises } from './exercises/breath';
import { coolDownExercises } from './exercises/cool-down';
import { listeningExercises } from './exercises/listening';
import { onsetExercises } from './exercises/onset';
import { pieceExercises } from './exercises/piece';
import { rangeExercises } from './exercises/range';
import { releaseExercises } from './exercises/release';
import { resonanceExercises } from './exercises/resonance';

export { courses } from './courses';

/** The built-in exercises, in the order of the phases. */
export const exercises: readonly Exercise[] = linked([
  ...releaseExercises,
  ...breathExercises,
  ...onsetExercises,
  ...resonanceExercises,
  ...rangeExercises,
  ...agilityExercises,
  ...listeningExercises,
  ...articulationExercises,
  ...pieceExercises,
  ...coolDownExercises,
]);
