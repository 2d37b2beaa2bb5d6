import { exerciseSchema } from '../exercise';
import {
  changeExerciseSchema,
  choirExercisesSchema,
  exerciseMarkSchema,
  exerciseVersionSchema,
  storedExercisesSchema,
  storeExercisesSchema,
} from '../ownExercises';
import { pageOf, pageQuerySchema } from '../page';
import { changed, type Endpoints } from './described';

/** A choir’s exercises: its own, and its marks on those built in. */
export const exercises = {
  showExercises: { access: 'reader', reply: choirExercisesSchema, errors: [] },
  storeExercises: {
    access: 'deputy',
    body: storeExercisesSchema,
    reply: storedExercisesSchema,
    makes: true,
    errors: ['invalid', 'too_many'],
  },
  changeExercise: {
    access: 'deputy',
    body: changeExerciseSchema,
    reply: exerciseSchema,
    errors: changed,
  },
  removeExercise: { access: 'deputy', errors: [] },
  bringExerciseBack: { access: 'deputy', errors: [] },
  listExerciseVersions: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(exerciseVersionSchema),
    errors: ['invalid'],
  },
  markExercise: {
    access: 'deputy',
    body: exerciseMarkSchema,
    reply: exerciseMarkSchema,
    errors: ['invalid'],
  },
} as const satisfies Endpoints;
