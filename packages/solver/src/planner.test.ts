import {
  build,
  fallsOf,
  greedy,
  narrowed,
  programmeOf,
  provenBest,
  roundingError,
  scoreOf,
  type Built,
  type Candidate,
  type PlannerProblem,
  type Solver,
} from '@wide-fern/core';
import fc from 'fast-check';
import { highsSolver } from './highs';

const solver = highsSolver();
/** More of them on demand (docs/architecture.md). */
const times = Number(process.env.PLANNER_TIMES ?? 1);
const skills = ['legato', 'tuning', 'top notes'];
const phaseIds = ['release', 'onset', 'resonance', 'range'];

const candidate = (i: number): fc.Arbitrary<Candidate> =>
  fc
    .record({
      exercise: fc.integer({ min: 0, max: 7 }),
      phase: fc.constantFrom(...phaseIds),
      seconds: fc.integer({ min: 20, max: 150 }),
      points: fc.integer({ min: -9, max: 2 }),
      led: fc.array(fc.integer({ min: 0, max: 130 }), { minLength: 3, maxLength: 3 }),
      pitched: fc.boolean(),
      top: fc.integer({ min: 60, max: 82 }),
      low: fc.integer({ min: 40, max: 59 }),
      strong: fc.boolean(),
    })
    .map(({ exercise, led, pitched, top, low, ...one }) => ({
      ...one,
      id: `c${i}`,
      exercise: `e${exercise}`,
      serves: Object.fromEntries(skills.map((skill, k) => [skill, led[k]!])),
      high: pitched ? { S: top, B: top - 12 } : null,
      low: pitched ? { S: low + 12, B: low } : null,
      top: pitched ? top : null,
      strong: pitched && one.strong,
    }));

const problem: fc.Arbitrary<PlannerProblem> = fc.integer({ min: 1, max: 12 }).chain((count) =>
  fc.record({
    seconds: fc.integer({ min: 100, max: 480 }),
    slack: fc.integer({ min: 0, max: 90 }),
    reached: fc.option(fc.integer({ min: 62, max: 72 }), { nil: null }),
    strongAfter: fc.oneof(
      fc.subarray(['onset', 'resonance', 'elsewhere']),
      fc.constant([['onset', 'resonance', 'range'], 'release']),
    ),
    phases: fc
      .tuple(
        ...phaseIds.map((id) =>
          fc.record({
            id: fc.constant(id),
            required: fc.boolean(),
            least: fc.constantFrom(0, 0, 0, 30),
            most: fc.constantFrom(480, 480, 200, 120),
            strong: fc.constantFrom(0, 1, 1, 2),
          }),
        ),
      )
      .map((phases) => [...phases]),
    included: fc.constantFrom([], [], [], ['e0'], ['e1', 'e2']),
    wishes: fc.dictionary(fc.constantFrom(...skills), fc.integer({ min: 1, max: 3 })),
    needs: fc.record({
      S: fc.record({ top: fc.constant([73, 80] as const) }),
      B: fc.record({ top: fc.constant([62, 66] as const), bottom: fc.constant([43, 46] as const) }),
    }),
    candidates: fc.tuple(...Array.from({ length: count }, (_, i) => candidate(i))),
    pinned: fc.subarray(['c0', 'c1', 'missing'], { maxLength: 2 }),
    excluded: fc.subarray(['e0', 'e1'], { maxLength: 1 }),
    alternatives: fc.constant(0),
  }),
);

/** Every selection that breaks nothing, the best first. */
function allThatHold(of: PlannerProblem): { points: number; selection: string[] }[] {
  const ids = of.candidates.map(({ id }) => id);
  return Array.from({ length: 2 ** ids.length }, (_, mask) =>
    ids.filter((__, i) => (mask >> i) & 1),
  )
    .map((selection) => ({ ...scoreOf(of, selection), selection }))
    .filter(({ violations }) => violations.length === 0)
    .sort((a, b) => b.points - a.points);
}

/** The problem without one of its wishes. */
function without(of: PlannerProblem, wish: string): PlannerProblem {
  const [kind, id] = wish.split(':') as [string, string];
  const phases = (changed: Partial<PlannerProblem['phases'][number]>) =>
    of.phases.map((phase) => (phase.id === id ? { ...phase, ...changed } : phase));
  switch (kind) {
    case 'under':
      return { ...of, slack: of.seconds };
    case 'strong':
      return { ...of, strongAfter: [] };
    case 'phase':
      return { ...of, phases: phases({ required: false }) };
    case 'least':
      return { ...of, phases: phases({ least: 0 }) };
    case 'most':
      return { ...of, phases: phases({ most: 1e6 }) };
    case 'effort':
      return { ...of, phases: phases({ strong: 1000 }) };
    case 'pin':
      return { ...of, pinned: of.pinned.filter((one) => one !== id) };
    case 'included':
      return { ...of, included: (of.included ?? []).filter((one) => one !== id) };
    default:
      return { ...of, excluded: of.excluded.filter((one) => one !== id) };
  }
}

describe('the planner, against everything tried', () => {
  it('finds the best plan, or that there is none; the same problem gives the same plan', async () => {
    await fc.assert(
      fc.asyncProperty(problem, async (of) => {
        const [best] = allThatHold(of);
        const built = await build(of, { solver });
        if (!best) {
          expect(built.kind).toBe('conflict');
          return;
        }
        if (built.kind !== 'plans') throw new Error(built.kind);
        const [plan] = built.plans;
        const score = scoreOf(of, plan!.selection);
        expect(score.violations).toEqual([]);
        expect(plan).toMatchObject({ points: best.points, bound: best.points });
        expect(score).toMatchObject({ points: plan!.points, parts: plan!.parts });
        expect(await build(of, { solver })).toEqual(built);
      }),
      { numRuns: 50 * times },
    );
  });

  it('drops nothing that is in a better plan', async () => {
    let dropped = 0;
    await fc.assert(
      fc.asyncProperty(problem, async (of) => {
        const all = allThatHold(of);
        fc.pre(all.length > 0);
        const programme = programmeOf(of);
        const relaxed = await solver.relax(programme.mip);
        fc.pre(relaxed.kind === 'relaxed');
        if (relaxed.kind !== 'relaxed') return;
        const falls = fallsOf(programme, relaxed);
        for (const [one, fall] of falls) {
          // The best plan that has it, and what is left beside a plan that is worse by a point.
          const withIt = all.find(({ selection }) => selection.includes(one.id));
          if (!withIt) continue;
          const { points } = withIt;
          expect(points).toBeLessThanOrEqual(relaxed.bound - fall + roundingError);
          const beside = (known: number) =>
            narrowed(of, falls, { bound: relaxed.bound, points: known, best: [] }).candidates;
          expect(beside(points - 1)).toContain(one);
          if (!beside(all[0]!.points).includes(one)) dropped += 1;
        }
      }),
      { numRuns: 10 * times },
    );
    expect(dropped).toBeGreaterThan(0);
  });

  it('finds the best from whatever plan it begins, also where it searches a few first', async () => {
    let improved = 0;
    await fc.assert(
      fc.asyncProperty(
        problem,
        fc.nat(),
        fc.integer({ min: 1, max: 6 }),
        async (of, which, nearest) => {
          const all = allThatHold(of);
          fc.pre(all.length > 0);
          const byId = new Map(of.candidates.map((one) => [one.id, one]));
          // The nearer it is to the best, the more is dropped.
          const { points, selection } = all[which % Math.min(4, all.length)]!;
          let told = points;
          const bounds: number[] = [];
          const found = await provenBest(
            of,
            selection.map((id) => byId.get(id)!),
            {
              ...{ solver, nearest, earlier: [], timeLimit: 10 },
              onBetter: (better) => {
                const now = scoreOf(
                  of,
                  better.map(({ id }) => id),
                );
                expect(now.violations).toEqual([]);
                expect(now.points).toBeGreaterThan(told);
                told = now.points;
              },
              onBound: (bound) => bounds.push(bound),
            },
          );
          if (found.kind !== 'plan') throw new Error(found.kind);
          const ids = found.selection.map(({ id }) => id);
          const best = all[0]!.points;
          expect(scoreOf(of, ids)).toMatchObject({ points: best, violations: [] });
          expect(Math.floor(found.bound + 1e-6)).toBe(best);
          for (const bound of bounds) expect(bound).toBeGreaterThan(best - 1e-6);
          if (points < best) improved += 1;
        },
      ),
      { numRuns: 10 * times },
    );
    expect(improved).toBeGreaterThan(0);
  });

  it('names wishes that cannot be met together, of which any one left out makes the rest possible', async () => {
    let found = 0;
    await fc.assert(
      fc.asyncProperty(problem, async (of) => {
        fc.pre(allThatHold(of).length === 0);
        const built: Built = await build(of, { solver });
        if (built.kind !== 'conflict') throw new Error(built.kind);
        found += 1;
        const { conflict } = built;
        // What is not named may be given up without helping.
        const only = allWishes(of)
          .filter((wish) => !(conflict as readonly string[]).includes(wish))
          .reduce(without, of);
        expect(allThatHold(only)).toEqual([]);
        for (const wish of conflict) {
          expect([wish, allThatHold(without(only, wish)).length > 0]).toEqual([wish, true]);
        }
      }),
      { numRuns: 25 * times },
    );
    expect(found).toBeGreaterThan(20);
  });

  it('names what is excluded where the rule of strong ones stands in its way too', async () => {
    const one = { exercise: 'loud', phase: 'release', seconds: 100, points: 0, strong: true };
    const none = { serves: {}, high: null, low: null, top: null };
    const built = await build(
      {
        ...{ seconds: 100, slack: 5, reached: null, wishes: {}, needs: {} },
        ...{ pinned: [], included: [], alternatives: 0, excluded: ['loud'] },
        strongAfter: [['onset'], 'release'],
        phases: ['onset', 'release'].map((id) => ({
          ...{ id, required: false, least: 0, most: 100, strong: 1 },
        })),
        candidates: [{ id: 'loud:1', ...one, ...none }],
      },
      { solver },
    );
    expect(built).toEqual({ kind: 'conflict', conflict: ['excluded:loud', 'under'] });
  });

  it('counts a unit that one makes with less than half a minute and another with a few seconds', async () => {
    const one = (id: string, seconds: number, legato: number): Candidate => ({
      ...{ id, exercise: id, phase: 'onset', seconds, points: 0, strong: false },
      ...{ serves: { legato }, high: null, low: null, top: null },
    });
    const of: PlannerProblem = {
      ...{ seconds: 200, slack: 20, reached: null, wishes: { legato: 1 }, needs: {} },
      ...{ pinned: [], included: [], excluded: [], alternatives: 0, strongAfter: [] },
      phases: [{ id: 'onset', required: false, least: 0, most: 200, strong: 1 }],
      candidates: [one('long', 110, 24), one('other', 70, 0), one('short', 20, 6)],
    };
    const built = await build(of, { solver });
    expect(built).toMatchObject({ kind: 'plans', plans: [{ points: 2, bound: 2 }] });
  });

  it('finds a plan where trying finds none and the time is too short to find the best', async () => {
    // The time has to be filled to the second.
    const all = Array.from({ length: 18 }, (_, i): Candidate => {
      const seconds = 1000 + (((i + 1) * (i + 3) * 104_729) % 9973);
      return {
        ...{ id: `c${i}`, exercise: `e${i}`, phase: 'range', seconds, points: 1, strong: false },
        ...{ serves: {}, high: null, low: null, top: null },
      };
    });
    const seconds = all
      .filter((_, i) => i % 3 === 1 || i % 7 === 2)
      .reduce((sum, one) => sum + one.seconds, 0);
    const of: PlannerProblem = {
      ...{ seconds, slack: 0, reached: null, strongAfter: [], wishes: {}, needs: {} },
      ...{ pinned: [], included: [], excluded: [], alternatives: 0, candidates: all },
      phases: [{ id: 'range', required: true, least: 0, most: seconds, strong: 1 }],
    };
    expect(greedy(of)).toBeUndefined();
    const outOfTime: Solver = {
      solve: (mip, options) =>
        mip.columns.some(({ cost }) => cost !== 0)
          ? Promise.resolve({ kind: 'unknown' })
          : solver.solve(mip, options),
      relax: () => Promise.resolve({ kind: 'unknown' }),
    };
    const built = await build(of, { solver: outOfTime });
    if (built.kind !== 'plans') throw new Error(built.kind);
    const { selection, points, bound } = built.plans[0]!;
    expect(scoreOf(of, selection).violations).toEqual([]);
    expect(points).toBe(selection.length);
    expect(bound).toBe(18);
  });

  it('is never worse than the greedy plan, which breaks nothing', async () => {
    let met = 0;
    await fc.assert(
      fc.asyncProperty(problem, async (of) => {
        const first = greedy(of);
        fc.pre(first !== undefined);
        met += 1;
        const score = scoreOf(
          of,
          first.map(({ id }) => id),
        );
        expect(score.violations).toEqual([]);
        const built = await build(of, { solver });
        if (built.kind !== 'plans') throw new Error(built.kind);
        expect(built.plans[0]!.points).toBeGreaterThanOrEqual(score.points);
      }),
      { numRuns: 25 * times },
    );
    expect(met).toBeGreaterThan(20);
  });
});

/** All that could be given up. */
const allWishes = (of: PlannerProblem): string[] => [
  'under',
  'strong',
  ...of.phases.flatMap(({ id }) => [`phase:${id}`, `least:${id}`, `most:${id}`, `effort:${id}`]),
  ...of.pinned.map((id) => `pin:${id}`),
  ...of.excluded.map((exercise) => `excluded:${exercise}`),
  ...(of.included ?? []).map((exercise) => `included:${exercise}`),
];
