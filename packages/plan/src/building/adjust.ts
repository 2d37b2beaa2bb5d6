import type { Choices, Exercise, PlanDocument, PlanEdit, Segment } from '@wide-fern/contract';
import {
  hasKeys,
  leadingUp,
  pointsOf,
  reachedAtFirst,
  scoreOf,
  segmentSeconds,
  servedBy,
  variantFor,
  variantsOf,
  visitsOf,
  type BuiltPlan,
  type PlannerProblem,
  type PlannerSetting,
  type Seconds,
  type Served,
  type Variant,
} from '@wide-fern/core';
import type { Planner } from './proposal';
import type { BuildRequest } from './request';

/** Where a warm-up has got to, and how much time is left for what remains of it. */
export interface Standing {
  /** The segments that were sung, in the plan's order: their time is spent, what they brought counts. */
  readonly sung: readonly string[];
  readonly left: Seconds;
}

/** A segment that remains, as it is offered. */
export interface OfferedSegment {
  /** The segment of the plan that it is; null for one that is new. */
  readonly segment: string | null;
  readonly exercise: Exercise;
  readonly choices: Choices;
  readonly change: 'same' | 'shorter' | 'longer' | 'new';
}

/** What loses least where it is late, and adds most where it is early. */
export interface Offer {
  readonly kind: 'late' | 'early';
  /** What remains, in order. */
  readonly segments: readonly OfferedSegment[];
  /** Segments of the plan that are left out. */
  readonly out: readonly string[];
  /** How long what remains takes, as it is planned and as it is offered. */
  readonly planned: Seconds;
  readonly seconds: Seconds;
  /** What the whole is worth, sung and to come, as it is planned and as it is offered; what is in the plan has been chosen, which counts. */
  readonly before: number;
  readonly points: number;
  /** What the whole brings, as it is planned and as it is offered. */
  readonly had: Served;
  readonly served: Served;
}

/** What is late by less, or early by less than another segment takes, is left as it is. */
const leastEarly: Seconds = 30;
/** A segment of the plan is worth as much at least, whatever it works on: it was chosen. */
const leastWorth = 1;
/** As it is planned is worth so much more than any other way: nothing is changed for nothing. */
const asPlanned = 1;

const keysAtLeast = 3;
const longerBy = 3;

/** How often a segment could be done instead: fewer where it is late, more where it is early. */
function counts({ exercise, choices }: Segment, kind: Offer['kind']): number[] {
  const { repetitions } = choices;
  // Half of it at least: less is not the same exercise any more.
  const half = Math.ceil(repetitions / 2);
  const least = hasKeys(exercise.music) ? Math.min(Math.max(keysAtLeast, half), repetitions) : half;
  const [from, to] = kind === 'late' ? [least, repetitions] : [repetitions, repetitions + longerBy];
  return Array.from({ length: to - from + 1 }, (_, i) => from + i);
}

/** The ways of a segment that remains, the one it is planned in among them. */
function waysOf(
  segment: Segment,
  kind: Offer['kind'],
  setting: PlannerSetting,
  phase: string,
): Variant[] {
  const { id, exercise, choices } = segment;
  const way = (repetitions: number, as = `${id}:${repetitions}`) =>
    variantFor(as, exercise, { ...choices, repetitions }, setting, phase);
  const planned = way(choices.repetitions, id);
  // Its change is paid for: the plan has it.
  const lift = Math.max(-planned.own.change, leastWorth - planned.candidate.points);
  const ways = choices.pinned
    ? [planned]
    : counts(segment, kind).map((count) => (count === choices.repetitions ? planned : way(count)));
  return ways.map((one) => ({
    ...one,
    candidate: {
      ...one.candidate,
      points: one.candidate.points + lift + (one === planned ? asPlanned : 0),
    },
  }));
}

/** What stands for one segment of the plan, in whatever way it is done. */
const asOne = ({ id, exercise }: Segment): string => `${id} ${exercise.id}`;

interface Adjusting {
  readonly problem: PlannerProblem;
  readonly ways: ReadonlyMap<string, Variant>;
  /** What stands at each place: a segment of the plan, or a favourite that could come in. */
  readonly places: readonly (
    | { readonly phase: string; readonly segment: Segment }
    | { readonly phase: string; readonly favourite: Exercise }
  )[];
}

/** Where favourites could come in: behind the last segment of their own phase or an earlier one. */
function placesOf(
  { approach, present }: BuildRequest,
  favourites: readonly Exercise[],
): Adjusting['places'] {
  const visits = visitsOf(approach);
  const order = (exercise: Exercise) => visits.findIndex(({ phase }) => phase === exercise.phase);
  const places: Adjusting['places'][number][] = present.map((segment, i) => ({
    phase: `at-${i}`,
    segment,
  }));
  const planned = new Set(present.map(({ exercise }) => exercise.id));
  favourites.forEach((favourite, i) => {
    if (planned.has(favourite.id) || order(favourite) < 0) return;
    const behind = places.findLastIndex(
      (one) => order('segment' in one ? one.segment.exercise : one.favourite) <= order(favourite),
    );
    places.splice(behind + 1, 0, { phase: `new-${i}`, favourite });
  });
  return places;
}

/** The problem of what remains: what was sung stays and takes no more time, each of the rest in its ways or not at all. */
function adjusting(
  request: BuildRequest,
  { sung, left }: Standing,
  kind: Offer['kind'],
  favourites: readonly Exercise[],
): Adjusting {
  const been = new Set(sung);
  const places = placesOf(request, kind === 'early' ? favourites : []);
  const lastSung = places.findLastIndex((one) => 'segment' in one && been.has(one.segment.id));
  const ways = new Map<string, Variant>();
  const pinned: string[] = [];
  places.forEach((place, at) => {
    const { phase } = place;
    if ('favourite' in place) {
      if (at < lastSung) return;
      for (const one of variantsOf(place.favourite, request, phase))
        ways.set(one.candidate.id, one);
      return;
    }
    const { segment } = place;
    const all = waysOf(segment, kind, request, phase);
    const isSung = been.has(segment.id);
    for (const one of all) {
      const id = one.candidate.id;
      if (isSung && id !== segment.id) continue;
      // A segment that stands twice may be sung twice.
      const exercise = asOne(segment);
      const seconds = isSung ? 0 : one.candidate.seconds;
      ways.set(id, { ...one, candidate: { ...one.candidate, exercise, seconds } });
    }
    if (isSung || segment.choices.pinned) pinned.push(segment.id);
  });
  const problem: PlannerProblem = {
    seconds: Math.max(0, Math.floor(left)),
    slack: Math.max(0, Math.floor(left)),
    reached: null,
    strongAfter: leadingUp.map((phase) =>
      places.flatMap((one) =>
        'segment' in one && one.segment.exercise.phase === phase ? [one.phase] : [],
      ),
    ),
    phases: places.map(({ phase }) => ({
      ...{ id: phase, required: false, least: 0, strong: 1 },
      most: Math.max(0, Math.floor(left)),
    })),
    wishes: request.wishes,
    needs: request.needs,
    candidates: [...ways.values()].map(({ candidate }) => candidate),
    pinned,
    excluded: [],
    alternatives: 0,
  };
  return { problem: asTheRulesAre(problem, request, reachedIn(request)), ways, places };
}

const reachedIn = ({ approach, tonight }: BuildRequest): number | null =>
  approach.rise ? reachedAtFirst(tonight) : null;

/** A rule that the plan breaks as it is cannot be asked of what is left of it. */
function asTheRulesAre(
  problem: PlannerProblem,
  { present }: BuildRequest,
  reached: number | null,
): PlannerProblem {
  const asked = { ...problem, reached };
  const { violations } = scoreOf(
    asked,
    present.map(({ id }) => id),
  );
  const breaks = (rule: string) => violations.some((one) => one.startsWith(`${rule}:`));
  return {
    ...asked,
    reached: breaks('rise') ? null : reached,
    strongAfter: breaks('strong') ? [] : problem.strongAfter,
  };
}

/**
 * The best of what remains that keeps a segment of each phase the approach requires, as far as the plan has one
 * and there is time; else the best without them.
 */
async function withWhatIsRequired(
  problem: PlannerProblem,
  { approach, present }: BuildRequest,
  remaining: readonly Segment[],
  planner: Pick<Planner, 'solve'>,
): Promise<BuiltPlan | undefined> {
  const solve = async (included: readonly string[]): Promise<BuiltPlan | undefined> => {
    const built = await planner.solve({ ...problem, included });
    return built.kind === 'plans' ? built.plans[0] : undefined;
  };
  const phaseOf = new Map(present.map(({ id, exercise }) => [id, exercise.phase]));
  const left = new Set(remaining);
  const sung = new Set(
    present.filter((one) => !left.has(one)).map(({ exercise }) => exercise.phase),
  );
  const required = new Set(
    approach.phases.flatMap(({ phase, required: is }) => (is && !sung.has(phase) ? [phase] : [])),
  );
  let included: readonly string[] = [];
  let best = await solve(included);
  for (const phase of required) {
    const own = remaining.filter(({ exercise }) => exercise.phase === phase);
    const isThere = best?.selection.some((id) => phaseOf.get(id.replace(/:\d+$/, '')) === phase);
    if (own.length === 0 || isThere) continue;
    let found: { plan: BuiltPlan; included: readonly string[] } | undefined;
    for (const segment of own) {
      const asked = [...included, asOne(segment)];
      const plan = await solve(asked);
      if (plan && (!found || plan.points > found.plan.points)) found = { plan, included: asked };
    }
    // Without time for it, it goes like the others.
    if (!found) continue;
    best = found.plan;
    included = found.included;
  }
  return best;
}

const lengthOf = (segments: readonly Pick<Segment, 'exercise' | 'choices'>[]): Seconds =>
  segments.reduce((sum, { exercise, choices }) => sum + segmentSeconds(exercise, choices), 0);

/**
 * What loses least where a warm-up is late, or adds most where it is early (docs/model.md, section 11): what
 * was sung stays, so does a segment of each phase that the approach requires; each segment that remains is done
 * shorter or longer or left out, in the plan's order. Nothing where it fits, where no change would help, or where
 * what is pinned takes longer than there is.
 * @param favourites what could be added where there is time
 */
export async function offerFor(
  request: BuildRequest,
  standing: Standing,
  planner: Pick<Planner, 'solve'>,
  favourites: readonly Exercise[] = [],
): Promise<Offer | undefined> {
  const been = new Set(standing.sung);
  const remaining = request.present.filter(({ id }) => !been.has(id));
  if (remaining.length === 0) return undefined;
  const left = Math.max(0, Math.floor(standing.left));
  const whole = adjusting(request, standing, 'late', []);
  const planned = lengthOf(remaining);
  const isLate = planned > left;
  if (!isLate && left - planned < leastEarly) return undefined;
  const kind = isLate ? 'late' : 'early';
  const { problem, ways, places } = isLate
    ? whole
    : adjusting(request, standing, 'early', favourites);
  const best = await withWhatIsRequired(problem, request, remaining, planner);
  if (!best) return undefined;
  const chosen = new Set(best.selection);
  const inPlace = places.flatMap(({ phase }, at) =>
    [...ways.values()]
      .filter(({ candidate }) => candidate.phase === phase && chosen.has(candidate.id))
      .map((way) => ({ way, place: places[at]! })),
  );
  const segments = inPlace.flatMap(({ way, place }): OfferedSegment[] => {
    const { choices } = way;
    if ('favourite' in place) {
      return [{ segment: null, exercise: place.favourite, choices, change: 'new' }];
    }
    const { segment } = place;
    if (been.has(segment.id)) return [];
    const by = choices.repetitions - segment.choices.repetitions;
    const change = by === 0 ? 'same' : by < 0 ? 'shorter' : 'longer';
    return [{ segment: segment.id, exercise: segment.exercise, choices, change }];
  });
  const kept = new Set(segments.map(({ segment }) => segment));
  const out = remaining.filter(({ id }) => !kept.has(id)).map(({ id }) => id);
  if (out.length === 0 && segments.every(({ change }) => change === 'same')) return undefined;
  const asPlannedNow = request.present.map(({ id }) => ways.get(id)!.candidate);
  return {
    ...{ kind, segments, out, planned },
    seconds: lengthOf(segments),
    before: pointsOf(problem, asPlannedNow).points,
    points: best.points,
    had: servedBy(problem, asPlannedNow),
    served: servedBy(
      problem,
      inPlace.map(({ way }) => way.candidate),
    ),
  };
}

/** Takes an offer, as one edit: what was sung stays as it is. */
export function takeOffer(
  document: PlanDocument,
  { segments }: Pick<Offer, 'segments'>,
  { sung }: Pick<Standing, 'sung'>,
  newId: () => string,
): PlanEdit {
  const been = new Set(sung);
  const present = new Map(document.segments.map((segment) => [segment.id, segment]));
  const rest = segments.map(({ segment: id, exercise, choices, change }): Segment => {
    const same = id === null ? undefined : present.get(id);
    return same && change === 'same' ? same : { id: id ?? newId(), exercise, choices };
  });
  return {
    kind: 'replace',
    document: {
      ...document,
      segments: [...document.segments.filter(({ id }) => been.has(id)), ...rest],
    },
    as: 'fitted',
  };
}
