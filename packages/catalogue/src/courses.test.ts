import { courseSchema, type Exercise } from '@wide-fern/contract';
import { breathRounds, longestOut } from '@wide-fern/core';
import { choose, evaluate, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { courses } from './courses';
import { exercises } from './index';

const exerciseOf = (id: string): Exercise => exercises.find((one) => one.id === id)!;
const steps = courses.flatMap((course) => course.steps.map((step) => ({ ...step, of: course.id })));

/** The longest breath out when every usual round of it is breathed. */
function usualOut({ music, usual: { repetitions, tempo } }: Exercise): number {
  if (music.kind !== 'breath') return 0;
  const timing = { ...music, rounds: repetitions, tempo };
  const beats = breathRounds(timing).reduce(
    (all, { in: inn, hold, out, rest }) => all + inn + hold + out + rest,
    0,
  );
  return longestOut(timing, (beats * 60) / tempo);
}

describe('the courses built in', () => {
  it('are courses, each with an id of its own', () => {
    for (const course of courses) expect(courseSchema.parse(course)).toEqual(course);
    expect(new Set(courses.map(({ id }) => id)).size).toBe(3);
  });
  it.each(steps)('$of: $exercise can be managed as it is usually done', ({ exercise, need }) => {
    const found = exerciseOf(exercise);
    expect(found).toBeDefined();
    if (need.kind === 'breath') expect(usualOut(found)).toBeGreaterThanOrEqual(need.seconds);
    if (need.kind === 'keys') {
      const { segments } = evaluate(
        performAll(documentOf(exercise), [
          choose(exercise, { repetitions: found.usual.repetitions }),
        ]),
        0,
      );
      // Sung as the ladder is found for the choir of the demo: by some part in each of these keys.
      const sung = segments[0]!.computed.repetitions.filter(({ parts }) =>
        parts.some(({ does }) => does === 'sing'),
      );
      expect(sung.length).toBeGreaterThanOrEqual(need.keys);
    }
  });
  it('grow harder, never easier, from breath to breath and from step to step', () => {
    for (const { steps: own } of courses) {
      const breaths = own.flatMap(({ need }) => (need.kind === 'breath' ? [need.seconds] : []));
      expect(breaths).toEqual([...breaths].sort((one, other) => one - other));
    }
  });
});
