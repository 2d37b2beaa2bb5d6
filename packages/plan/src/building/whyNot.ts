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
 */
export async function whyNot(
  request: BuildRequest,
  { id, phase, effort }: Pick<Exercise, 'id' | 'phase' | 'effort'>,
  plan: Pick<Proposal, 'points' | 'segments'>,
  planner: Planner,
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
  const built = await planner.solve(weighed.problem);
  if (built.kind !== 'plans') return built;
  const [best] = built.plans;
  if (!best) return { kind: 'unknown' };
  const other = proposalOf(weighed, best);
  const there = new Set(other.segments.map(({ exercise }) => exercise));
  const insteadOf = plan.segments
    .map(({ exercise }) => exercise)
    .filter((exercise) => !there.has(exercise));
  return { kind: 'loses', points: plan.points - other.points, plan: other, insteadOf };
}
