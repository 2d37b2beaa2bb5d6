import type { Candidate, PlannerProblem } from './problem';
import { usableOf } from './rows/programme';
import { Tally } from './tally';

/** What is better: first keeping the rules, then points. */
interface Standing {
  readonly broken: number;
  readonly off: number;
  readonly points: number;
}

/** A broken rule weighs as much as so many seconds off. */
const perBroken = 120;
const distance = ({ broken, off }: Standing): number => off + perBroken * broken;
const isBetter = (a: Standing, b: Standing): boolean =>
  distance(a) < distance(b) - 1e-9 || (distance(a) <= distance(b) + 1e-9 && a.points > b.points);

const standing = (tally: Tally): Standing => ({
  broken: tally.broken,
  off: tally.off,
  points: tally.points,
});

/** Something that can be changed in a selection. */
interface Change {
  readonly out?: Candidate | undefined;
  readonly into?: Candidate | undefined;
}

function perform(tally: Tally, { out, into }: Change): void {
  if (out) tally.take(out);
  if (into) tally.add(into);
}
const undone = ({ out, into }: Change): Change => ({ out: into, into: out });

/** More changes than this are never needed; the search is over when none helps. */
const mostChanges = 60;

/**
 * A plan that keeps the rules, found by adding, taking out and exchanging single segments as long as that
 * helps; undefined where it finds none. The same problem gives the same plan.
 * @param earlier plans it has to differ from, as the exercises they are made of
 */
export function greedy(
  problem: PlannerProblem,
  earlier: readonly ReadonlySet<string>[] = [],
): readonly Candidate[] | undefined {
  const pinned = new Set(problem.pinned);
  const seen = (one: Candidate) =>
    !pinned.has(one.id) && earlier.some((it) => it.has(one.exercise));
  // Of what was in an earlier plan nothing: then half of the time is never exceeded.
  const usable = usableOf(problem).filter((one) => !seen(one));
  const tally = new Tally(problem, usable);
  for (const one of usable) if (pinned.has(one.id)) tally.add(one);
  for (let step = 0; step < mostChanges; step += 1) {
    const change = bestChange(tally, usable, pinned);
    if (!change) break;
    perform(tally, change);
  }
  const end = standing(tally);
  return distance(end) === 0 ? [...tally.chosen] : undefined;
}

/** The single change that helps most; undefined when none helps. */
function bestChange(
  tally: Tally,
  usable: readonly Candidate[],
  pinned: ReadonlySet<string>,
): Change | undefined {
  let best = standing(tally);
  let found: Change | undefined;
  const chosen = [...tally.chosen];
  const taken = new Map(chosen.map((one) => [one.exercise, one]));
  const attempt = (change: Change) => {
    perform(tally, change);
    // What breaks no rule of time is told cheaply; the others are looked at only where it could help.
    const quick = { broken: 0, off: tally.off, points: tally.points };
    if (isBetter(quick, best)) {
      const now = { ...quick, broken: tally.broken };
      if (isBetter(now, best)) {
        best = now;
        found = change;
      }
    }
    perform(tally, undone(change));
  };
  for (const out of chosen) if (!pinned.has(out.id)) attempt({ out });
  for (const into of usable) {
    const same = taken.get(into.exercise);
    if (same) {
      if (same !== into && !pinned.has(same.id)) attempt({ out: same, into });
      continue;
    }
    attempt({ into });
    for (const out of chosen) if (!pinned.has(out.id)) attempt({ out, into });
  }
  return found;
}
