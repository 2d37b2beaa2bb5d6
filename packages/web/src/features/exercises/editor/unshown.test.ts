import { exercises } from '@wide-fern/catalogue';
import { draftOf } from './model/draft';
import { exerciseOf } from './model/make';

describe('an exercise through the editor', () => {
  it.each(exercises.map((one) => [one.id, one] as const))('%s loses nothing', (id, exercise) => {
    const made = exerciseOf(draftOf(exercise), id, exercise.version);
    if (made.kind === 'wrong') throw new Error(JSON.stringify(made.fields));
    expect(made.made).toEqual({ ...exercise, cautions: expect.any(Array) as unknown });
    expect(new Set(made.made.cautions)).toEqual(new Set(exercise.cautions));
  });
});
