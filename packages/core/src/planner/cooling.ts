import type { Candidate, PlannerProblem } from './problem';
import { groundOf } from './greedy';

/** Numbers from 0 to 1 that look like chance and are the same every time. */
function steady(): () => number {
  let state = 20_261;
  return () => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7fff_ffff;
    return state / 0x8000_0000;
  };
}

/** What a second off and a broken rule cost in points while it is warm. */
const perSecondOff = 0.1;
const perBroken = 8;
/** How many points worse is still taken with a fair chance, at the beginning and at the end. */
const warm = 5;
const cool = 0.25;

/**
 * A good plan, found by changing single segments at random, worse ones less and less often: what is best to
 * begin the proof from. The same problem gives the same plan; undefined where none that keeps the rules was met.
 * @param steps how many changes are tried
 * @param earlier plans it has to differ from, as the exercises they are made of
 */
export function cooled(
  problem: PlannerProblem,
  first: readonly Candidate[] | undefined,
  steps: number,
  earlier: readonly ReadonlySet<string>[] = [],
): readonly Candidate[] | undefined {
  const { usable, pinned, holds, tally } = groundOf(problem, earlier);
  if (usable.length === 0 || !holds) return first;
  const ways = placesBy(usable, ({ exercise }) => exercise);
  const phases = placesBy(usable, ({ phase }) => phase);
  const exerciseOf = usable.map(({ exercise }) => ways.get(exercise)!);
  const phaseOf = usable.map(({ phase }) => phases.get(phase)!);
  /** The place that is chosen of each exercise, −1 for none; its ways share an entry. */
  const taken = new Map([...ways.values()].map((all) => [all, -1]));
  const add = (one: number) => {
    tally.add(one);
    taken.set(exerciseOf[one]!, one);
  };
  const take = (one: number) => {
    tally.take(one);
    taken.set(exerciseOf[one]!, -1);
  };
  const begun = new Set(first);
  usable.forEach((one, place) => {
    if (first ? begun.has(one) : pinned[place]) add(place);
  });
  const chance = steady();
  const any = (list: readonly number[]): number => list[Math.floor(chance() * list.length)]!;
  const every = usable.map((_, place) => place);
  const worth = () => tally.points - perSecondOff * tally.off - perBroken * tally.broken;
  let now = worth();
  let best: readonly number[] | undefined;
  let bestPoints = -Infinity;
  const keep = () => {
    if (tally.points <= bestPoints || tally.off > 0 || tally.broken > 0) return;
    bestPoints = tally.points;
    best = [...tally.chosen];
  };
  keep();
  const falling = Math.pow(cool / warm, 1 / Math.max(1, steps));
  let heat = warm;
  for (let step = 0; step < steps; step += 1) {
    heat *= falling;
    const { chosen } = tally;
    const kind = chance();
    let out = -1;
    let into = -1;
    if (chosen.length > 0 && kind < 0.75) {
      out = any(chosen);
      if (pinned[out]) continue;
      if (kind < 0.25) into = any(exerciseOf[out]!);
      else if (kind < 0.5) into = any(phaseOf[out]!);
      else if (kind < 0.65) into = any(every);
    } else into = any(every);
    if (into >= 0) {
      const same = taken.get(exerciseOf[into]!)!;
      if (into === out || (same >= 0 && same !== out)) continue;
    }
    if (out >= 0) take(out);
    if (into >= 0) add(into);
    const then = worth();
    if (then >= now || chance() < Math.exp((then - now) / heat)) {
      now = then;
      keep();
    } else {
      if (into >= 0) take(into);
      if (out >= 0) add(out);
    }
  }
  return best?.map((one) => usable[one]!) ?? first;
}

/** The places of candidates, by what they share. */
function placesBy(
  usable: readonly Candidate[],
  keyOf: (one: Candidate) => string,
): ReadonlyMap<string, readonly number[]> {
  const places = new Map<string, number[]>();
  usable.forEach((one, place) => {
    const key = keyOf(one);
    const list = places.get(key);
    if (list) list.push(place);
    else places.set(key, [place]);
  });
  return places;
}
