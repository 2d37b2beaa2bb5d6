import type { Candidate, PlannerProblem } from './problem';
import { usableOf } from './programme';
import { Tally } from './tally';

/** What is better: first keeping the rules, then points. */
interface Standing {
  readonly away: number;
  readonly points: number;
}

/** A broken rule weighs as much as so many seconds off. */
const perBroken = 120;
const near = 1e-9;
const isBetter = (a: Standing, b: Standing): boolean =>
  a.away < b.away - near || (a.away <= b.away + near && a.points > b.points);

/** Something that can be changed in a selection, by places. */
interface Change {
  readonly out?: number | undefined;
  readonly into?: number | undefined;
}

function perform(tally: Tally, { out, into }: Change): void {
  if (out !== undefined) tally.take(out);
  if (into !== undefined) tally.add(into);
}

/** More changes than this are never needed; the search is over when none helps. */
const mostChanges = 60;

/** What a plan is looked for among: what can be chosen and is not of an earlier plan, and what has to be. */
export function groundOf(problem: PlannerProblem, earlier: readonly ReadonlySet<string>[]) {
  const pins = new Set(problem.pinned);
  const asked = new Set(problem.included);
  // Of what was in an earlier plan nothing: then half of the time is never exceeded.
  const usable = usableOf(problem).filter(
    ({ id, exercise }) =>
      pins.has(id) || asked.has(exercise) || !earlier.some((exercises) => exercises.has(exercise)),
  );
  const held = usable.filter(({ id }) => pins.has(id));
  return {
    usable,
    pinned: usable.map(({ id }) => pins.has(id)),
    /** Whether all that is pinned can be there at once. */
    holds:
      held.length === pins.size &&
      new Set(held.map(({ exercise }) => exercise)).size === held.length,
    tally: new Tally(problem, usable),
  };
}

/**
 * A plan that keeps the rules, found by adding, taking out and exchanging single segments as long as that
 * helps; undefined where it finds none. The same problem gives the same plan.
 * @param earlier plans it has to differ from, as the exercises they are made of
 */
export function greedy(
  problem: PlannerProblem,
  earlier: readonly ReadonlySet<string>[] = [],
): readonly Candidate[] | undefined {
  const { usable, pinned, holds, tally } = groundOf(problem, earlier);
  if (!holds) return undefined;
  pinned.forEach((is, one) => {
    if (is) tally.add(one);
  });
  for (let step = 0; step < mostChanges; step += 1) {
    const change = bestChange(tally, usable, pinned);
    if (!change) break;
    perform(tally, change);
  }
  return tally.off === 0 && tally.broken === 0
    ? tally.chosen.map((one) => usable[one]!)
    : undefined;
}

/** The single change that helps most; undefined when none helps. */
function bestChange(
  tally: Tally,
  usable: readonly Candidate[],
  pinned: readonly boolean[],
): Change | undefined {
  let best: Standing = { away: tally.off + perBroken * tally.broken, points: tally.points };
  let found: Change | undefined;
  const look = (out: number | undefined, into: number | undefined) => {
    const { off, points } = tally;
    if (off > best.away + near || (off >= best.away - near && points <= best.points)) return;
    // The other rules are looked at only where it could help.
    const now = { away: off + perBroken * tally.broken, points };
    if (!isBetter(now, best)) return;
    best = now;
    found = { out, into };
  };
  const free = tally.chosen.filter((one) => !pinned[one]);
  const taken = new Map(tally.chosen.map((one) => [usable[one]!.exercise, one]));
  const without = (out: number, into?: number) => {
    tally.take(out);
    look(out, into);
    tally.add(out);
  };
  for (const out of free) without(out);
  usable.forEach(({ exercise }, into) => {
    const same = taken.get(exercise);
    if (same === into || (same !== undefined && pinned[same])) return;
    tally.add(into);
    if (same === undefined) {
      look(undefined, into);
      for (const out of free) without(out, into);
    } else without(same, into);
    tally.take(into);
  });
  return found;
}
