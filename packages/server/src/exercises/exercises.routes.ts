import { endpoint, type Route } from '../access/endpoint';
import {
  changeExercise,
  listVersions,
  markExercise,
  setRemoved,
  showExercises,
  storeExercises,
} from './exercises.service';

/** Readers look; who leads makes, changes and marks. */
export const exercisesRoutes: readonly Route[] = [
  endpoint('showExercises', ({ em, choir }) => showExercises(em, choir)),
  endpoint('storeExercises', ({ em, choir, account, body }) =>
    storeExercises(em, { choir, account }, body.exercises),
  ),
  endpoint('changeExercise', ({ em, choir, account, params, body }) =>
    changeExercise(em, { choir, account, code: params.exercise }, body),
  ),
  endpoint('removeExercise', ({ em, choir, params }) =>
    setRemoved(em, choir, params.exercise, true),
  ),
  endpoint('bringExerciseBack', ({ em, choir, params }) =>
    setRemoved(em, choir, params.exercise, false),
  ),
  endpoint('listExerciseVersions', ({ em, choir, params, query }) =>
    listVersions(em, choir, params.exercise, query.after),
  ),
  endpoint('markExercise', ({ em, choir, params, body }) =>
    markExercise(em, choir, params.exercise, body),
  ),
];
