import type { Exercise } from '@wide-fern/contract';
import { strongFrom, visitsOf } from '@wide-fern/core';
import { proposalOf, type Planner, type Proposal } from './proposal';
import type { BuildRequest } from './request';

/** Why an exercise is not in a plan. */
export type WhyNot =
  /** The best plan that has it, in points and what makes room for it. */
  | {
      readonly kind: 'loses';
      readonly points: number;
      readonly plan: Proposal;
      /** Exercises that are in the other plan and not in this one. */
      readonly insteadOf: readonly string[];
      /** Whether there is none better; until then it loses at most so much. */
      readonly isProven: boolean;
    }
  /** The approach has no phase for it. */
  | { readonly kind: 'no-phase' }
  /** What the place does not allow, or who it suits, or no key that can be sung tonight. */
  | { readonly kind: 'no-way' }
  | { readonly kind: 'too-strong' }
  /** It cannot be there together with what else is asked. */
  | { readonly kind: 'conflict'; readonly conflict: readonly string[] }
  | { readonly kind: 'unknown' };

/**
 * What a plan would lose with an exercise, and instead of what: the best plan that has it is built.
 * @param plan the plan that it is not in
 * @param onSoFar hears of a plan with it as soon as there is one, and of better ones
 */
export async function whyNot(
  request: BuildRequest,
  { id, phase, effort }: Pick<Exercise, 'id' | 'phase' | 'effort'>,
  plan: Pick<Proposal, 'points' | 'segments'>,
  planner: Planner,
  onSoFar: (answer: WhyNot) => void = () => undefined,
): Promise<WhyNot> {
  if (!visitsOf(request.approach).some((visit) => visit.phase === phase)) {
    return { kind: 'no-phase' };
  }
  const weighed = await planner.weigh({
    ...request,
    included: [...new Set([...request.included, id])],
    excluded: request.excluded.filter((one) => one !== id),
    alternatives: 0,
  });
  if (!weighed.problem.candidates.some(({ exercise }) => exercise === id)) {
    return { kind: request.quiet && effort >= strongFrom ? 'too-strong' : 'no-way' };
  }
  const loses = (other: Proposal): WhyNot => {
    const there = new Set(other.segments.map(({ exercise }) => exercise));
    return {
      kind: 'loses',
      points: plan.points - other.points,
      plan: other,
      insteadOf: plan.segments
        .map(({ exercise }) => exercise)
        .filter((exercise) => !there.has(exercise)),
      isProven: other.bound === other.points,
    };
  };
  const built = await planner.solve(weighed.problem, (news) => {
    if (news.kind === 'plan') onSoFar(loses(proposalOf(weighed, news.plan)));
  });
  if (built.kind !== 'plans') return built;
  const [best] = built.plans;
  return best ? loses(proposalOf(weighed, best)) : { kind: 'unknown' };
}
