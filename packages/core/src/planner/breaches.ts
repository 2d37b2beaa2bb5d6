import { greatestRise, leadsOf, placesOf, type Candidate, type PlannerProblem } from './problem';

/**
 * Whether a segment's top lies within a fourth of what was reached: at the beginning, or by another
 * pitched segment of an earlier phase, or of its own phase with a lower top.
 */
function risesGently(
  one: Candidate,
  selection: readonly Candidate[],
  places: ReadonlyMap<string, number>,
  reached: number,
): boolean {
  const { top } = one;
  if (top === null || top <= reached + greatestRise) return true;
  const place = places.get(one.phase)!;
  return selection.some((other) => {
    if (other === one || other.top === null || other.top < top - greatestRise) return false;
    const before = places.get(other.phase)!;
    return before < place || (before === place && other.top < top);
  });
}

/** Whether a strong segment comes after a segment of each phase that has to lead up to it. */
function isLedUpTo(
  one: Candidate,
  selection: readonly Candidate[],
  places: ReadonlyMap<string, number>,
  leads: readonly (readonly number[])[],
): boolean {
  const place = places.get(one.phase)!;
  return leads.every((lead) =>
    selection.some((other) => {
      const before = places.get(other.phase)!;
      return before < place && lead.includes(before);
    }),
  );
}

/**
 * What a selection breaks, by name: over, under, phase:ID, least:ID, most:ID, effort:ID, pin:ID,
 * excluded:EXERCISE, included:EXERCISE, twice:EXERCISE, strong:ID, rise:ID (docs/model.md, section 10).
 */
export function breachesOf(problem: PlannerProblem, selection: readonly Candidate[]): string[] {
  const { seconds, slack, phases, pinned, excluded, included = [], reached } = problem;
  const places = placesOf(problem);
  const leads = leadsOf(problem, places);
  const known = selection.filter(({ phase }) => places.has(phase));
  const total = selection.reduce((sum, one) => sum + one.seconds, 0);
  const breaches: string[] = [];
  if (total > seconds) breaches.push('over');
  if (total < seconds - slack) breaches.push('under');
  for (const { id, required, least, most, strong } of phases) {
    const here = known.filter(({ phase }) => phase === id);
    const spent = here.reduce((sum, one) => sum + one.seconds, 0);
    if (required && here.length === 0) breaches.push(`phase:${id}`);
    if (spent < least) breaches.push(`least:${id}`);
    if (spent > most) breaches.push(`most:${id}`);
    if (here.filter((one) => one.strong).length > strong) breaches.push(`effort:${id}`);
  }
  const ids = new Set(selection.map(({ id }) => id));
  for (const id of pinned) if (!ids.has(id)) breaches.push(`pin:${id}`);
  const times = new Map<string, number>();
  for (const { exercise } of selection) times.set(exercise, (times.get(exercise) ?? 0) + 1);
  for (const exercise of excluded) {
    if (times.has(exercise)) breaches.push(`excluded:${exercise}`);
  }
  for (const exercise of new Set(included)) {
    if (!times.has(exercise)) breaches.push(`included:${exercise}`);
  }
  for (const [exercise, count] of times) if (count > 1) breaches.push(`twice:${exercise}`);
  for (const one of known) {
    if (one.strong && !isLedUpTo(one, known, places, leads)) breaches.push(`strong:${one.id}`);
    if (reached !== null && !risesGently(one, known, places, reached)) {
      breaches.push(`rise:${one.id}`);
    }
  }
  return breaches;
}
