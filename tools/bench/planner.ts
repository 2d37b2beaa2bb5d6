/** How long the planner takes, and how good its answers are: twenty problems over the built-in catalogue. */
import { exercises } from '@wide-fern/catalogue';
import {
  approaches,
  arrangements,
  ask,
  build,
  greedy,
  mixedChoir,
  scoreOf,
  usualSections,
  type ChoirPart,
  type PlannerAsked,
  type Purpose,
} from '@wide-fern/core';
import { highsSolver } from '@wide-fern/solver';
import { median } from './median';

const skills: readonly Purpose[] = [
  'long outflow',
  'top notes',
  'tuning',
  'legato',
  'low breath',
  'vowel unity',
  'diction',
  'swelling and fading',
  'blend',
  'agility',
  'low notes',
];
const wished = 8;
const minutes = [5, 8, 15, 20];
const perLength = 5;

/** Figures that look like chance and are the same every time. */
function steady(): () => number {
  let state = 1;
  return () => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7fff_ffff;
    return state / 0x8000_0000;
  };
}

/** A warm-up after work with eight wishes, for music that goes nearly to every part's ends. */
function asked(parts: readonly ChoirPart[], length: number, chance: () => number): PlannerAsked {
  const sections = usualSections(parts);
  const needs = sections.map(({ id, comfort: [low, high] }, i) => ({
    ...{ part: id, highest: high - (i % 3), lowest: low + (i % 2) },
    ...{ highestIn: 'A piece', lowestIn: 'A piece' },
  }));
  const drawn = skills
    .map((skill) => ({ skill, at: chance() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, wished);
  const weight = (place: number) => (place === 0 ? 3 : place < 4 ? 2 : 1);
  return ask({
    tonight: { sections, needs },
    approach: approaches[0],
    level: 2,
    ledAgo: Object.fromEntries(
      exercises
        .filter(() => chance() < 0.3)
        .map(({ id }) => [id, 1 + Math.floor(chance() * 6)] as const),
    ),
    forbids: ['floor'],
    seconds: length * 60,
    exercises,
    wishes: Object.fromEntries(drawn.map(({ skill }, i) => [skill, weight(i)])),
    alternatives: 0,
  });
}

/** What was measured of problems of one length, in ms and points. */
export interface PlannerRow {
  readonly minutes: number;
  readonly parts: number;
  readonly variants: number;
  readonly greedy: number;
  readonly greedyPoints: number;
  readonly points: number;
  readonly proven: number;
  readonly median: number;
  readonly worst: number;
}

const timed = async <T>(what: () => T | Promise<T>): Promise<readonly [T, number]> => {
  const began = performance.now();
  const result = await what();
  return [result, performance.now() - began];
};

async function row(parts: readonly ChoirPart[], length: number): Promise<PlannerRow> {
  const chance = steady();
  const solver = highsSolver();
  const runs: Record<'variants' | 'quick' | 'whole' | 'first' | 'points' | 'proven', number>[] = [];
  for (let i = 0; i < perLength; i += 1) {
    const [{ problem }, variants] = await timed(() => asked(parts, length, chance));
    const [first, quick] = await timed(() => greedy(problem));
    const [built, whole] = await timed(() => build(problem, { solver }));
    const plan = built.kind === 'plans' ? built.plans[0] : undefined;
    runs.push({
      ...{ variants, quick, whole },
      first: first
        ? scoreOf(
            problem,
            first.map(({ id }) => id),
          ).points
        : 0,
      points: plan?.points ?? 0,
      proven: plan && plan.bound === plan.points ? 1 : 0,
    });
  }
  const of = (name: keyof (typeof runs)[number]): number[] => runs.map((run) => run[name]);
  return {
    ...{ minutes: length, parts: parts.length },
    variants: median(of('variants')),
    greedy: median(of('quick')),
    greedyPoints: median(of('first')),
    points: median(of('points')),
    proven: of('proven').filter((is) => is === 1).length,
    median: median(of('whole')),
    worst: Math.max(...of('whole')),
  };
}

/** Five problems of each length for four parts, and of fifteen minutes for eight. */
export async function measurePlanner(tell: (row: PlannerRow) => void): Promise<void> {
  for (const length of minutes) tell(await row(mixedChoir, length));
  const eight = arrangements.find(({ id }) => id === 'mixed-eight')!;
  tell(await row(eight.parts, 15));
}
