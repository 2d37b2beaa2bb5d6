import { exercises } from '@wide-fern/catalogue';
import {
  approaches,
  ask,
  build,
  mixedChoir,
  scoreOf,
  usualSections,
  variantsOf,
  visitsOf,
  type Approach,
  type PlannerSetting,
  type Question,
} from '@wide-fern/core';
import { highsSolver } from './highs';

const sections = usualSections(mixedChoir);
const needs = sections.map(({ id, comfort: [lowest, highest] }) => ({
  ...{ part: id, highest: highest - 1, lowest, highestIn: 'A piece', lowestIn: 'A piece' },
}));
const setting = (approach: Approach): PlannerSetting => ({
  ...{ tonight: { sections, needs }, approach, level: 2, ledAgo: {} },
  forbids: ['floor'],
});
const question = (approach: Approach, more: Partial<Question> = {}): Question => ({
  ...setting(approach),
  ...{ seconds: 900, exercises, wishes: { legato: 3, tuning: 2, 'low breath': 1 } },
  alternatives: 0,
  ...more,
});
const [evening] = approaches;
const byId = new Map(exercises.map((one) => [one.id, one]));

describe('the ways of an exercise', () => {
  it.each(exercises.map((one) => [one.id, one] as const))(
    '%s: as long as they say, with its notes inside the reach, never strong for too long',
    (_, exercise) => {
      const variants = variantsOf(exercise, setting(evening));
      if (exercise.needs.includes('floor')) expect(variants).toEqual([]);
      for (const { candidate } of variants) {
        const { seconds, serves, high, low, top, strong, points } = candidate;
        expect(Number.isInteger(seconds) && Number.isInteger(points)).toBe(true);
        expect(Object.keys(serves)).toEqual(expect.arrayContaining([...exercise.purposes]));
        for (const led of Object.values(serves)) expect(led).toBeLessThanOrEqual(seconds);
        for (const { id, reach, octave } of sections) {
          if (!high || !low || high[id] === undefined) continue;
          expect(high[id]).toBeGreaterThanOrEqual(low[id]!);
          expect(top).toBeGreaterThanOrEqual(high[id] - octave);
          if (exercise.anchor !== 'light') expect(high[id]).toBeLessThanOrEqual(reach[1]);
        }
        if (strong) expect(Math.max(...Object.values(serves))).toBeLessThanOrEqual(60);
      }
      // More keys or rounds take longer.
      const lengths = variants.map(({ candidate }) => candidate.seconds);
      expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    },
  );
  it('share their time among what their passes serve', () => {
    const three = byId.get('three-touches')!;
    const [first] = variantsOf(three, setting(evening));
    const { candidate, choices } = first!;
    const { legato, rhythm, diction } = candidate.serves;
    // All of it but the talk, a third each; the length is rounded up.
    expect(candidate.seconds - choices.talk - 3 * legato!).toBeLessThan(1);
    expect([rhythm, diction]).toEqual([legato, legato]);
  });
});

describe('every approach', () => {
  const solver = highsSolver();
  it.each(approaches.map((one) => [one.id, one] as const))(
    '%s has a plan of fifteen minutes that keeps its rules, its phases in order',
    async (_, approach) => {
      const { problem, variants } = ask(question(approach));
      // Whatever is best: any that is found in a moment keeps the rules.
      const built = await build(problem, { solver, timeLimit: 1 });
      if (built.kind !== 'plans') throw new Error(JSON.stringify(built));
      const [plan] = built.plans;
      expect(scoreOf(problem, plan!.selection).violations).toEqual([]);
      expect(plan!.bound).toBeGreaterThanOrEqual(plan!.points);
      expect(Number.isFinite(plan!.bound)).toBe(true);
      const order = visitsOf(approach).map(({ id }) => id);
      const places = plan!.selection.map((id) => order.indexOf(variants.get(id)!.candidate.phase));
      expect(places).toEqual([...places].sort((a, b) => a - b));
    },
  );
  it('gives further plans that spend at most half of the time on exercises of earlier ones', async () => {
    const { problem, variants } = ask(question(evening, { alternatives: 2 }));
    const built = await build(problem, { solver, timeLimit: 1 });
    if (built.kind !== 'plans') throw new Error(JSON.stringify(built));
    expect(built.plans).toHaveLength(3);
    const of = (place: number) =>
      built.plans[place]!.selection.map((id) => variants.get(id)!.candidate);
    for (const later of [1, 2]) {
      for (let before = 0; before < later; before += 1) {
        const known = new Set(of(before).map(({ exercise }) => exercise));
        const shared = of(later)
          .filter(({ exercise }) => known.has(exercise))
          .reduce((sum, { seconds }) => sum + seconds, 0);
        expect(shared).toBeLessThanOrEqual(450);
      }
    }
  });
});
