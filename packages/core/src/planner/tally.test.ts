import fc from 'fast-check';
import { breachesOf } from './breaches';
import { pointsOf } from './points';
import type { Candidate, PlannerProblem } from './problem';
import { usableOf } from './programme';
import { Tally } from './tally';

const skills = ['legato', 'tuning'];
const phases = ['release', 'onset', 'range'];

/** Thirds too, so that what is added and taken away again differs by a hair. */
const seconds = (most: number) => fc.integer({ min: 0, max: 3 * most }).map((thirds) => thirds / 3);

const candidate = (i: number): fc.Arbitrary<Candidate> =>
  fc
    .record({
      phase: fc.constantFrom(...phases),
      seconds: fc.integer({ min: 20, max: 150 }),
      points: fc.integer({ min: -9, max: 2 }),
      led: fc.array(fc.oneof(fc.constant(0), seconds(130)), { minLength: 2, maxLength: 2 }),
      top: fc.option(fc.integer({ min: 60, max: 82 }), { nil: null }),
      low: fc.integer({ min: 40, max: 59 }),
      strong: fc.boolean(),
    })
    .map(({ led, top, low, ...one }) => ({
      ...{ ...one, id: `c${i}`, exercise: `e${i}`, top },
      serves: Object.fromEntries(skills.map((skill, k) => [skill, led[k]!])),
      high: top === null ? null : { S: top, B: top - 12 },
      low: top === null ? null : { S: low + 12, B: low },
      strong: top !== null && one.strong,
    }));

const range = (from: number) =>
  fc
    .tuple(fc.integer({ min: from, max: from + 14 }), fc.integer({ min: -1, max: 8 }))
    .map(([begin, length]) => [begin, begin + length] as const);

const problem: fc.Arbitrary<PlannerProblem> = fc.record({
  seconds: fc.integer({ min: 200, max: 900 }),
  slack: fc.integer({ min: 0, max: 900 }),
  reached: fc.option(fc.integer({ min: 52, max: 72 }), { nil: null }),
  strongAfter: fc.constantFrom([], ['release'], ['onset', 'release'], [['release', 'onset']]),
  phases: fc.tuple(
    ...phases.map((id) =>
      fc.record({
        id: fc.constant(id),
        required: fc.boolean(),
        least: fc.constantFrom(0, 30),
        most: fc.constantFrom(900, 480, 200),
        strong: fc.constantFrom(0, 1, 2),
      }),
    ),
  ),
  wishes: fc.record({ legato: fc.constantFrom(1, 3), tuning: fc.constantFrom(0, 2) }),
  needs: fc.record({
    S: fc.record({ top: range(64), bottom: range(52) }),
    B: fc.record({ top: range(52), bottom: range(40) }),
  }),
  candidates: fc.tuple(...Array.from({ length: 14 }, (_, i) => candidate(i))),
  pinned: fc.constant([]),
  excluded: fc.constant([]),
  included: fc.subarray(['e0', 'e1', 'e2'], { maxLength: 1 }),
  alternatives: fc.constant(0),
});

describe('a selection that grows and shrinks', () => {
  it('is worth at every moment what it is worth as a whole, and keeps the rules exactly when it does', () => {
    let kept = 0;
    fc.assert(
      fc.property(
        problem,
        fc.array(fc.nat({ max: 13 }), { minLength: 40, maxLength: 80 }),
        (asked, changes) => {
          const usable = usableOf(asked);
          fc.pre(usable.length > 3);
          const tally = new Tally(asked, usable);
          for (const change of changes) {
            const one = change % usable.length;
            if (tally.chosen.includes(one)) tally.take(one);
            else tally.add(one);
            const chosen = tally.chosen.map((place) => usable[place]!);
            expect(tally.points).toBe(pointsOf(asked, chosen).points);
            const keeps = tally.off === 0 && tally.broken === 0;
            expect(keeps).toBe(breachesOf(asked, chosen).length === 0);
            if (keeps) kept += 1;
          }
        },
      ),
      { numRuns: 150 },
    );
    expect(kept).toBeGreaterThan(20);
  });
});
