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

/**
 * How many evenings away each exercise is led: before, as it is known and as the evenings in the row have it,
 * or after, where an evening that follows stands already.
 */
function agoAmong(
  ledAgo: BuildRequest['ledAgo'],
  row: readonly (readonly string[])[],
  place: number,
): Record<string, number> {
  const ago: Record<string, number> = { ...ledAgo };
  row.forEach((exercises, i) => {
    for (const exercise of exercises) {
      ago[exercise] = Math.min(ago[exercise] ?? Infinity, Math.abs(place - i));
    }
  });
  return ago;
}

/**
 * Builds the warm-ups of several evenings, one after the other in the order of their dates, each knowing what
 * the others use.
 * @param onPlan told of each as soon as it is there
 */
export async function planAhead(
  evenings: readonly AheadEvening[],
  planner: Planner,
  onPlan: (built: AheadPlan, request: BuildRequest) => void = () => undefined,
): Promise<AheadPlan[]> {
  // What each of them has; those that are to be built have nothing yet.
  const row = evenings.map((one) => ('planned' in one ? one.planned : []));
  const built: AheadPlan[] = [];
  for (const [place, evening] of evenings.entries()) {
    if ('planned' in evening) continue;
    const { id } = evening;
    const ledAgo = agoAmong(evening.request.ledAgo, row, place);
    const request = { ...evening.request, ledAgo, alternatives: 0 };
    const weighed = await planner.weigh(request);
    const found = await planner.solve(weighed.problem);
    const [best] = found.kind === 'plans' ? found.plans : [];
    const plan = best && proposalOf(weighed, best);
    const one = { id, plan };
    built.push(one);
    onPlan(one, request);
    row[place] = plan?.segments.map(({ exercise }) => exercise) ?? [];
  }
  return built;
}
