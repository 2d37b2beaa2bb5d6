import type { Planner, Proposal } from './proposal';
import { proposalOf } from './proposal';
import type { BuildRequest } from './request';

/** An evening of a row that is planned at once, in the order of its date. */
export type AheadEvening =
  /** It is to be built. */
  | { readonly id: string; readonly request: BuildRequest }
  /** It stands already: what it has is known to those after it. */
  | { readonly id: string; readonly planned: readonly string[] };

/** What became of an evening that was to be built. */
export interface AheadPlan {
  readonly id: string;
  /** Undefined where no plan was found, or what is asked does not fit together. */
  readonly plan: Proposal | undefined;
}

/** When exercises will have been led last, once the evenings before have been led as they are planned. */
function agoAfter(
  ledAgo: BuildRequest['ledAgo'],
  before: readonly (readonly string[])[],
): Record<string, number> {
  const ago: Record<string, number> = { ...ledAgo };
  before.forEach((exercises, i) => {
    for (const exercise of exercises) {
      ago[exercise] = Math.min(ago[exercise] ?? Infinity, before.length - i);
    }
  });
  return ago;
}

/**
 * Builds the warm-ups of several evenings, one after the other in the order of their dates, each knowing what
 * the ones before it use.
 * @param onPlan told of each as soon as it is there
 */
export async function planAhead(
  evenings: readonly AheadEvening[],
  planner: Planner,
  onPlan: (built: AheadPlan, request: BuildRequest) => void = () => undefined,
): Promise<AheadPlan[]> {
  const before: (readonly string[])[] = [];
  const built: AheadPlan[] = [];
  for (const evening of evenings) {
    if ('planned' in evening) {
      before.push(evening.planned);
      continue;
    }
    const { id } = evening;
    const ledAgo = agoAfter(evening.request.ledAgo, before);
    const request = { ...evening.request, ledAgo, alternatives: 0 };
    const weighed = await planner.weigh(request);
    const found = await planner.solve(weighed.problem);
    const [best] = found.kind === 'plans' ? found.plans : [];
    const plan = best && proposalOf(weighed, best);
    const one = { id, plan };
    built.push(one);
    onPlan(one, request);
    before.push(plan?.segments.map(({ exercise }) => exercise) ?? []);
  }
  return built;
}
