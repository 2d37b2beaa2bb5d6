import {
  changeExerciseSchema,
  exerciseMarkSchema,
  storeExercisesSchema,
} from '@wide-fern/contract';
import { inChoir, type Route } from '../http/route';
import {
  changeExercise,
  listVersions,
  markExercise,
  setRemoved,
  showExercises,
  storeExercises,
} from './exercises.service';

const exercises = '/choirs/:choir/exercises';
const one = `${exercises}/:exercise`;

/** Readers look; who leads makes, changes and marks. */
export const exercisesRoutes: readonly Route[] = [
  inChoir('reader', {
    method: 'get',
    path: exercises,
    handle: async ({ em, choir }) => ({ body: await showExercises(em, choir) }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: exercises,
    body: storeExercisesSchema,
    handle: async ({ em, choir, account, body }) => ({
      status: 201,
      body: await storeExercises(em, { choir, account }, body.exercises),
    }),
  }),
  inChoir('deputy', {
    method: 'put',
    path: one,
    body: changeExerciseSchema,
    handle: async ({ em, choir, account, params, body }) => ({
      body: await changeExercise(em, { choir, account, code: params.exercise! }, body),
    }),
  }),
  inChoir('deputy', {
    method: 'delete',
    path: one,
    handle: async ({ em, choir, params }) => {
      await setRemoved(em, choir, params.exercise!, true);
      return {};
    },
  }),
  inChoir('deputy', {
    method: 'post',
    path: `${one}/back`,
    handle: async ({ em, choir, params }) => {
      await setRemoved(em, choir, params.exercise!, false);
      return {};
    },
  }),
  inChoir('reader', {
    method: 'get',
    path: `${one}/versions`,
    handle: async ({ em, choir, params }) => ({
      body: await listVersions(em, choir, params.exercise!),
    }),
  }),
  inChoir('deputy', {
    method: 'put',
    path: `${one}/mark`,
    body: exerciseMarkSchema,
    handle: async ({ em, choir, params, body }) => ({
      body: await markExercise(em, choir, params.exercise!, body),
    }),
  }),
];
