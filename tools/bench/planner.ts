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
  type PlannerProblem,
  type Purpose,
  type Solver,
} from '@wide-fern/core';
import { highsSolver } from '@wide-fern/solver';
import type { Exercise } from '@wide-fern/contract';
import { offerFor, type BuildRequest } from '@wide-fern/plan';
import { median } from './median';
import { plainRows } from './plainRows';

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
const others = 12;

/** Figures that look like chance and are the same every time. */
function steady(from = 1): () => number {
  let state = from;
  return () => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7fff_ffff;
    return state / 0x8000_0000;
  };
}

/** A warm-up after work with eight wishes, for music that goes nearly to every part's ends. */
function asked(
  parts: readonly ChoirPart[],
  length: number,
  chance: () => number,
  among: readonly Exercise[] = exercises,
): PlannerAsked {
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
    exercises: among,
    wishes: Object.fromEntries(drawn.map(({ skill }, i) => [skill, weight(i)])),
    alternatives: 0,
  });
}

/** What was measured of problems of one length, in ms and points. */
export interface PlannerRow {
  readonly minutes: number;
  readonly parts: number;
  readonly exercises: number;
  readonly variants: number;
  readonly greedy: number;
  readonly greedyPoints: number;
  readonly points: number;
  readonly proven: number;
  readonly median: number;
  readonly worst: number;
  /** Each of them, in ms. */
  readonly times: readonly number[];
  /** With the rows of section 10 of the model alone, nothing to begin from: the median and the worst. */
  readonly plain: number;
  readonly plainWorst: number;
}

const timed = async <T>(what: () => T | Promise<T>): Promise<readonly [T, number]> => {
  const began = performance.now();
  const result = await what();
  return [result, performance.now() - began];
};

/** So long is searched with the plain rows at most. */
const plainLimit = 60;

async function row(
  parts: readonly ChoirPart[],
  length: number,
  among: readonly Exercise[] = exercises,
): Promise<PlannerRow> {
  const chance = steady();
  const solver = highsSolver();
  const runs: Record<
    'variants' | 'quick' | 'whole' | 'first' | 'points' | 'proven' | 'plain',
    number
  >[] = [];
  for (let i = 0; i < perLength; i += 1) {
    const [{ problem }, variants] = await timed(() => asked(parts, length, chance, among));
    const [first, quick] = await timed(() => greedy(problem));
    const [built, whole] = await timed(() => build(problem, { solver }));
    const [, plain] = await timed(() =>
      solver.solve(plainRows(problem), { start: undefined, timeLimit: plainLimit, gap: 0.999 }),
    );
    const plan = built.kind === 'plans' ? built.plans[0] : undefined;
    runs.push({
      ...{ variants, quick, whole, plain },
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
    ...{ minutes: length, parts: parts.length, exercises: among.length },
    variants: median(of('variants')),
    greedy: median(of('quick')),
    greedyPoints: median(of('first')),
    points: median(of('points')),
    proven: of('proven').filter((is) => is === 1).length,
    median: median(of('whole')),
    worst: Math.max(...of('whole')),
    times: of('whole'),
    plain: median(of('plain')),
    plainWorst: Math.max(...of('plain')),
  };
}

/** More exercises than are built in: some of them once more under another name, a little longer. */
const threeHundred: readonly Exercise[] = [
  ...exercises,
  ...exercises.slice(0, 300 - exercises.length).map((one) => ({
    ...one,
    id: `${one.id}-again`,
    usual: { ...one.usual, talk: one.usual.talk + 5 },
  })),
];

/** Twelve more of fifteen minutes, with other wishes: how long each takes, in ms, and how many are proven. */
export async function measureOthers(): Promise<{
  readonly times: readonly number[];
  readonly proven: number;
}> {
  const chance = steady(7);
  const solver = highsSolver();
  const times: number[] = [];
  let proven = 0;
  for (let i = 0; i < others; i += 1) {
    const { problem } = asked(mixedChoir, 15, chance);
    const [built, whole] = await timed(() => build(problem, { solver }));
    times.push(whole);
    const plan = built.kind === 'plans' ? built.plans[0] : undefined;
    if (plan && plan.bound === plan.points) proven += 1;
  }
  return { times, proven };
}

/**
 * Five problems of each length for four parts, of fifteen minutes for eight, and among 300 exercises.
 * @returns over the twenty of four parts and all lengths, in ms
 */
export async function measurePlanner(
  tell: (row: PlannerRow) => void,
): Promise<Pick<PlannerRow, 'median' | 'worst'>> {
  const times: number[] = [];
  for (const length of minutes) {
    const one = await row(mixedChoir, length);
    times.push(...one.times);
    tell(one);
  }
  const eight = arrangements.find(({ id }) => id === 'mixed-eight')!;
  tell(await row(eight.parts, 15));
  tell(await row(mixedChoir, 15, threeHundred));
  return { median: median(times), worst: Math.max(...times) };
}

/** What is asked of a plan that is there, in ms: the median over some. */
export interface ReplanFigures {
  readonly pinned: number;
  /** Until the plan that is the best in the end is there, and until that is proven. */
  readonly whyNot: number;
  readonly whyNotProven: number;
  readonly late: number;
  readonly early: number;
}

const pins = 10;
const asksEach = 7;

/** Building again around ten pins, what an exercise would cost, and what loses least or adds most. */
export async function measureReplanning(): Promise<ReplanFigures> {
  const chance = steady();
  const solver = highsSolver();
  const times: Record<keyof ReplanFigures, number[]> = {
    pinned: [],
    whyNot: [],
    whyNotProven: [],
    late: [],
    early: [],
  };
  for (let i = 0; i < asksEach; i += 1) {
    const { problem, variants } = asked(mixedChoir, 20, chance);
    const built = await build(problem, { solver });
    const plan = built.kind === 'plans' ? built.plans[0]! : undefined;
    if (!plan) continue;
    const around = { ...problem, pinned: plan.selection.slice(0, pins) };
    times.pinned.push((await timed(() => build(around, { solver })))[1]);
    const there = new Set(plan.selection.map((id) => variants.get(id)!.candidate.exercise));
    const others = problem.candidates.filter(({ exercise }) => !there.has(exercise));
    const { exercise } = others[Math.floor(chance() * others.length)]!;
    const fifteen = asked(mixedChoir, 15, chance).problem;
    const forced = { ...fifteen, included: [exercise] };
    const [stands, proven] = await untilBest(forced, solver);
    times.whyNot.push(stands);
    times.whyNotProven.push(proven);
    const request = requestOfPlan(plan.selection, variants, problem);
    const planner = { solve: (one: PlannerProblem) => build(one, { solver }) };
    const half = request.present.slice(0, 4).map(({ id }) => id);
    for (const [kind, left] of [
      ['late', 500],
      ['early', 1100],
    ] as const) {
      times[kind].push((await timed(() => offerFor(request, { sung: half, left }, planner)))[1]);
    }
  }
  return {
    pinned: median(times.pinned),
    whyNot: median(times.whyNot),
    whyNotProven: median(times.whyNotProven),
    late: median(times.late),
    early: median(times.early),
  };
}

/** How long until a plan as good as the best is known, and until nothing better is possible, in ms. */
async function untilBest(
  problem: PlannerProblem,
  solver: Solver,
): Promise<readonly [stands: number, proven: number]> {
  const began = performance.now();
  let most = -Infinity;
  let stands = 0;
  const [, proven] = await timed(() =>
    build(problem, {
      solver,
      onNews: (news) => {
        if (news.kind !== 'plan' || news.plan.points <= most) return;
        most = news.plan.points;
        stands = performance.now() - began;
      },
    }),
  );
  return [stands, proven];
}

/** A built plan as a request that stands. */
function requestOfPlan(
  selection: readonly string[],
  variants: PlannerAsked['variants'],
  { wishes, needs }: PlannerProblem,
): BuildRequest {
  const sections = usualSections(mixedChoir);
  const present = selection.flatMap((id) => {
    const { candidate, choices } = variants.get(id)!;
    const exercise = exercises.find((one) => one.id === candidate.exercise);
    return exercise ? [{ id, exercise, choices }] : [];
  });
  return {
    tonight: { sections, needs: [] },
    ...{ needs, seconds: 1200, approach: approaches[0], level: 2, ledAgo: {}, forbids: [] },
    ...{ wishes, included: [], excluded: [], limits: {}, quiet: false, present, own: [] },
    alternatives: 0,
  };
}
