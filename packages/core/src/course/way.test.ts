import fc from 'fast-check';
import { courseWay, isManaged, type CourseStep, type LedForCourse } from './way';

const on = (day: number): string => `2026-10-${String(day).padStart(2, '0')}T18:30:00.000Z`;
const once = (exercise: string, day: number, more: Partial<LedForCourse> = {}): LedForCourse => ({
  ...{ exercise, ledAt: on(day), managed: null, keys: 0, breath: null },
  ...more,
});

describe('whether a step was managed', () => {
  it.each<[CourseStep['need'], Partial<LedForCourse>, boolean]>([
    [{ kind: 'managed', by: 'most' }, { managed: 'most' }, true],
    [{ kind: 'managed', by: 'most' }, { managed: 'all' }, true],
    [{ kind: 'managed', by: 'most' }, {}, false],
    [{ kind: 'managed', by: 'all' }, { managed: 'most' }, false],
    [{ kind: 'keys', keys: 5 }, { keys: 5 }, true],
    [{ kind: 'keys', keys: 5 }, { keys: 4 }, false],
    [{ kind: 'keys', keys: 5 }, { keys: 9, managed: 'few' }, false],
    [{ kind: 'breath', seconds: 10 }, { breath: 10 - 1e-9 }, true],
    [{ kind: 'breath', seconds: 10 }, { breath: 9.8 }, false],
    [{ kind: 'breath', seconds: 10 }, {}, false],
    [{ kind: 'breath', seconds: 10 }, { breath: 12, managed: 'few' }, false],
  ])('%j by %j: %s', (need, led, wanted) => {
    expect(isManaged(need, once('long-s', 1, led))).toBe(wanted);
  });
});

describe('the way of a course', () => {
  const steps: CourseStep[] = [
    { exercise: 'long-s', need: { kind: 'breath', seconds: 10 }, evenings: 2 },
    { exercise: 'slow-dawn', need: { kind: 'managed', by: 'most' }, evenings: 1 },
  ];
  it('goes on when the first step was managed often enough, in different evenings', () => {
    const first = once('long-s', 6, { breath: 10 });
    // Twice in one evening is one evening.
    expect(courseWay(steps, [first, first], on(1))).toMatchObject({
      next: 0,
      steps: [{ managed: [on(6)], doneAt: null }, { led: [] }],
    });
    const second = once('long-s', 13, { breath: 11.7, managed: 'most' });
    expect(courseWay(steps, [second, first], on(1))).toMatchObject({
      next: 1,
      steps: [{ managed: [on(6), on(13)], doneAt: on(13) }, { doneAt: null }],
    });
  });
  it('leaves out what was led before it was begun', () => {
    const led = [
      once('long-s', 6, { breath: 12 }),
      once('long-s', 13, { breath: 12 }),
      once('long-s', 20, { breath: 8 }),
    ];
    expect(courseWay(steps, led, on(7)).steps[0]).toMatchObject({
      led: [on(13), on(20)],
      managed: [on(13)],
      doneAt: null,
    });
  });
  it('is over when every step is done, also where a later one was done first', () => {
    const led = [
      once('slow-dawn', 5, { managed: 'all' }),
      once('long-s', 6, { breath: 12 }),
      once('long-s', 13, { breath: 12 }),
    ];
    expect(courseWay(steps, led.slice(0, 2), on(1)).next).toBe(0);
    expect(courseWay(steps, led, on(1)).next).toBeNull();
  });
  it('never goes back by what is led later, and needs no order in what it is told', () => {
    const some = fc.array(
      fc.record({
        exercise: fc.constantFrom('long-s', 'slow-dawn', 'keel'),
        ledAt: fc.integer({ min: 1, max: 28 }).map(on),
        managed: fc.constantFrom(null, 'few' as const, 'most' as const, 'all' as const),
        keys: fc.nat(9),
        breath: fc.option(fc.integer({ min: 4, max: 14 }), { nil: null }),
      }),
      { maxLength: 20 },
    );
    const place = (next: number | null) => next ?? steps.length;
    fc.assert(
      fc.property(some, some, (earlier, later) => {
        const before = courseWay(steps, earlier, on(3));
        const after = courseWay(steps, [...earlier, ...later], on(3));
        expect(place(after.next)).toBeGreaterThanOrEqual(place(before.next));
        expect(courseWay(steps, [...earlier].reverse(), on(3))).toEqual(before);
        // By hand: so many different evenings, of which each has one that meets the need.
        for (const { step, managed } of after.steps) {
          const wanted = new Set<string>();
          for (const one of [...earlier, ...later]) {
            const counts = one.exercise === step.exercise && one.ledAt >= on(3);
            if (counts && isManaged(step.need, one)) wanted.add(one.ledAt);
          }
          expect(new Set(managed)).toEqual(wanted);
        }
      }),
    );
  });
});
