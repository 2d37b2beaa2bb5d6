import type { Choices, Exercise, PlanDocument, PlanEdit, Segment } from '@wide-fern/contract';
import {
  ask,
  scoreOf,
  servedBy,
  sharesOf,
  variantFor,
  visitsOf,
  type BuildNews,
  type Built,
  type BuiltPlan,
  type Candidate,
  type OwnPoints,
  type PlannerProblem,
  type PointParts,
  type Served,
  type Share,
  type Variant,
  variantsOf,
} from '@wide-fern/core';
import { beforePlace } from '../edit/edits';
import type { BuildRequest } from './request';

/** A segment of a plan that was built or weighed: what it is, and what it brings. */
export interface ProposedSegment {
  readonly exercise: string;
  /** The segment of the present plan that it is; null for a new one. */
  readonly segment: string | null;
  readonly choices: Choices;
  readonly candidate: Candidate;
  readonly own: OwnPoints;
  readonly share: Share;
}

/** A plan that was built, or the present one weighed in the same way. */
export interface Proposal {
  readonly segments: readonly ProposedSegment[];
  readonly points: number;
  readonly parts: PointParts;
  readonly bound: number;
  readonly served: Served;
  /** Rules that it breaks; a built plan breaks none. */
  readonly breaches: readonly string[];
}

/** What building answers. */
export type Proposed =
  | { readonly kind: 'plans'; readonly plans: readonly Proposal[] }
  | { readonly kind: 'conflict'; readonly conflict: readonly string[] }
  | { readonly kind: 'unknown' };

export type ProposalNews =
  | { readonly kind: 'plan'; readonly number: number; readonly plan: Proposal }
  | { readonly kind: 'bound'; readonly number: number; readonly bound: number };

/** A request as the planner takes it, as plain data. */
export interface Weighed {
  readonly problem: PlannerProblem;
  readonly variants: readonly Variant[];
  /** The present plan weighed as it is. */
  readonly present: Proposal;
}

/** Whoever weighs requests and solves problems: in workers, or in this very thread. */
export interface Planner {
  readonly weigh: (request: BuildRequest) => Promise<Weighed>;
  readonly solve: (problem: PlannerProblem, onNews?: (news: BuildNews) => void) => Promise<Built>;
}

const presentId = (segment: string): string => `present:${segment}`;
const idOfPresent = (candidate: string): string | null =>
  candidate.startsWith('present:') ? candidate.slice('present:'.length) : null;

/** Segments as a proposal shows them, with what each of them brings. */
function proposed(
  problem: PlannerProblem,
  variants: readonly Variant[],
): Pick<Proposal, 'segments' | 'served'> {
  const candidates = variants.map(({ candidate }) => candidate);
  const shares = sharesOf(problem, candidates);
  return {
    segments: variants.map(({ candidate, choices, own }, i): ProposedSegment => ({
      // A segment that stands twice has a figure behind its exercise.
      exercise: candidate.exercise.replace(/#\d+$/, ''),
      segment: idOfPresent(candidate.id),
      choices,
      ...{ candidate, own, share: shares[i]! },
    })),
    served: servedBy(problem, candidates),
  };
}

/** Prepares a request: every way of every exercise, the pinned segments, and what the present plan is worth. */
export function weigh(
  request: BuildRequest,
  exercises: readonly Exercise[],
  ways: typeof variantsOf = variantsOf,
): Weighed {
  const { present, approach } = request;
  const visits = visitsOf(approach);
  const weighed = present.map(({ id, exercise, choices }): Variant => {
    const visit = visits.find(({ phase }) => phase === exercise.phase)?.id ?? exercise.phase;
    return variantFor(presentId(id), exercise, choices, request, visit);
  });
  const { problem, variants } = ask({
    ...request,
    exercises,
    wishes: request.wishes,
    pinned: weighed.filter((_, i) => present[i]!.choices.pinned),
    ways,
  });
  const known = new Set(problem.candidates.map(({ id }) => id));
  const beside = weighed.flatMap(({ candidate }) => (known.has(candidate.id) ? [] : [candidate]));
  const score = scoreOf(
    { ...problem, candidates: [...problem.candidates, ...beside] },
    weighed.map(({ candidate }) => candidate.id),
  );
  return {
    problem,
    variants: [...variants.values()],
    present: {
      ...proposed(problem, weighed),
      points: score.points,
      parts: score.parts,
      bound: score.points,
      breaches: score.violations,
    },
  };
}

/** A built plan with everything that is shown of it. */
export function proposalOf(
  { problem, variants }: Pick<Weighed, 'problem' | 'variants'>,
  { selection, points, parts, bound }: BuiltPlan,
): Proposal {
  const byId = new Map(variants.map((one) => [one.candidate.id, one]));
  const chosen = selection.flatMap((id) => byId.get(id) ?? []);
  return { ...proposed(problem, chosen), ...{ points, parts, bound, breaches: [] } };
}

/** What is told while a warm-up is built. */
export interface Listener {
  /** What the present plan is worth, before anything is sought. */
  readonly onPresent?: ((present: Proposal) => void) | undefined;
  readonly onNews?: ((news: ProposalNews) => void) | undefined;
  /** Asked before the search begins: whether anybody still wants it. */
  readonly isWanted?: (() => boolean) | undefined;
}

/** Builds what is asked: the first plan at once, then better ones, then the proven best and others. */
export async function propose(
  request: BuildRequest,
  planner: Planner,
  { onPresent, onNews, isWanted }: Listener = {},
): Promise<Proposed> {
  const weighed = await planner.weigh(request);
  onPresent?.(weighed.present);
  if (isWanted?.() === false) return { kind: 'unknown' };
  const built = await planner.solve(weighed.problem, (news) =>
    onNews?.(news.kind === 'plan' ? { ...news, plan: proposalOf(weighed, news.plan) } : news),
  );
  return built.kind === 'plans'
    ? { kind: 'plans', plans: built.plans.map((plan) => proposalOf(weighed, plan)) }
    : built;
}

/** The segments of a proposal; those that stand in the plan already keep what they are. */
export function segmentsOf(
  { segments }: Pick<Proposal, 'segments'>,
  exercises: ReadonlyMap<string, Exercise>,
  present: readonly Segment[],
  newId: () => string,
): Segment[] {
  const free = new Map(present.map((segment) => [segment.id, segment]));
  const kept = new Map(
    segments.flatMap(({ segment }) => (segment === null ? [] : [[segment, free.get(segment)]])),
  );
  for (const id of kept.keys()) free.delete(id);
  return segments.flatMap(({ segment, exercise: id, choices }): Segment[] => {
    const same = segment === null ? undefined : present.find((one) => one.id === segment);
    if (same) return [same];
    const exercise = exercises.get(id);
    if (!exercise) return [];
    const before = [...free.values()].find((one) => one.exercise.id === id);
    if (before) free.delete(before.id);
    return [{ id: before?.id ?? newId(), exercise, choices }];
  });
}

/** Puts a proposal in the place of the whole plan, as one edit. */
export const takeWhole = (document: PlanDocument, segments: readonly Segment[]): PlanEdit => ({
  kind: 'replace',
  document: { ...document, segments: [...segments] },
  as: 'built',
});

/**
 * Takes one segment across: behind the last of those that stand before it in the proposal, at the beginning
 * where none of them is there.
 * @param order the exercises of the proposal, in their order
 */
export function takeAcross(
  document: PlanDocument,
  segment: Segment,
  order: readonly string[],
): PlanEdit {
  const { segments } = document;
  const place = order.indexOf(segment.exercise.id);
  const before = new Set(order.slice(0, Math.max(0, place)));
  const last = segments.findLastIndex(({ exercise }) => before.has(exercise.id));
  return { kind: 'add', segment, after: beforePlace(segments, last + 1) };
}
