import {
  reachesStep,
  skillPoints,
  stepsOf,
  sumError,
  unitSeconds,
  unitsOfKind,
  type NeedStep,
} from './points';
import { greatestRise, leadsOf, placesOf, type Candidate, type PlannerProblem } from './problem';

/** Several lists of figures under numbers, one behind the other: quick to go through. */
interface Lists {
  /** Where each list begins; behind the last one, where it ends. */
  readonly from: Int32Array;
  readonly under: Int32Array;
  readonly figures: Float64Array;
}

const listsOf = (
  all: readonly (readonly (readonly [under: number, figure: number])[])[],
): Lists => {
  const from = new Int32Array(all.length + 1);
  all.forEach((list, i) => {
    from[i + 1] = from[i]! + list.length;
  });
  const flat = all.flat();
  return {
    from,
    under: Int32Array.from(flat, ([under]) => under),
    figures: Float64Array.from(flat, ([, figure]) => figure),
  };
};

/** What each candidate brings, worked out once; kept close together, since it is looked up all the time. */
interface Weighed {
  readonly seconds: Float64Array;
  readonly points: Float64Array;
  readonly place: Int32Array;
  readonly strong: Uint8Array;
  /** Its top; −∞ for what has none. */
  readonly top: Float64Array;
  /** Whether something has to lead up to it. */
  readonly rises: Uint8Array;
  /** Which of the exercises that are asked for it is; −1 for none of them. */
  readonly asked: Int32Array;
  /** Seconds led, by skill. */
  readonly led: Lists;
  /** How many steps are reached, by the ends of the parts' needs; those where it is none are left out. */
  readonly far: Lists;
}

/** A missing segment weighs as much as so many seconds too many or too few. */
const missing = 120;

/**
 * A selection of usable candidates, by their places, that grows and shrinks by single ones: its points at
 * every moment, and how far it is from keeping the rules.
 */
export class Tally {
  /** The places of what is chosen. */
  readonly chosen: number[] = [];
  private readonly weighed: Weighed;
  private readonly weights: readonly number[];
  /** The places of the phases that have to lead up to strong segments. */
  private readonly leading: readonly (readonly number[])[];
  private readonly led: Float64Array;
  /** Of each end of a part's needs, how many of what is chosen come just so many steps far. */
  private readonly comes: readonly Int32Array[];
  /** And how many of its steps are reached. */
  private readonly reached: Int32Array;
  private readonly spent: Float64Array;
  private readonly count: Int32Array;
  private readonly strong: Int32Array;
  private readonly offIn: Float64Array;
  private total = 0;
  private strongs = 0;
  private risings = 0;
  private pointsNow = 0;
  private offPhases = 0;
  /** How often each exercise that is asked for is chosen. */
  private readonly askedFor: number[];
  private absent: number;

  constructor(
    private readonly problem: PlannerProblem,
    usable: readonly Candidate[],
  ) {
    const skills = Object.keys(problem.wishes);
    const ends = endsOf(problem);
    const places = placesOf(problem);
    const { reached, phases } = problem;
    this.leading = leadsOf(problem, places).map((lead) => [...lead].sort((a, b) => a - b));
    this.weights = skills.map((skill) => problem.wishes[skill]!);
    this.led = new Float64Array(skills.length);
    this.comes = ends.map((steps) => new Int32Array(steps.length + 1));
    this.reached = new Int32Array(ends.length);
    const asked = [...new Set(problem.included)];
    this.askedFor = asked.map(() => 0);
    this.absent = asked.length;
    this.spent = new Float64Array(phases.length);
    this.count = new Int32Array(phases.length);
    this.strong = new Int32Array(phases.length);
    this.offIn = Float64Array.from(phases, (_, place) => this.offOf(place));
    this.offPhases = this.offIn.reduce((sum, off) => sum + off, 0);
    const bringing = <T>(things: readonly T[], of: (one: Candidate, thing: T) => number) =>
      listsOf(
        usable.map((one) =>
          things.map((thing, i) => [i, of(one, thing)] as const).filter(([, much]) => much > 0),
        ),
      );
    this.weighed = {
      seconds: Float64Array.from(usable, ({ seconds }) => seconds),
      points: Float64Array.from(usable, ({ points }) => points),
      place: Int32Array.from(usable, ({ phase }) => places.get(phase)!),
      strong: Uint8Array.from(usable, ({ strong }) => (strong ? 1 : 0)),
      top: Float64Array.from(usable, ({ top }) => top ?? -Infinity),
      rises: Uint8Array.from(usable, ({ top }) =>
        reached !== null && top !== null && top > reached + greatestRise ? 1 : 0,
      ),
      asked: Int32Array.from(usable, ({ exercise }) => asked.indexOf(exercise)),
      led: bringing(skills, ({ serves }, skill) => serves[skill] ?? 0),
      far: bringing(ends, (one, steps) => steps.filter((step) => reachesStep(one, step)).length),
    };
  }

  get points(): number {
    return this.pointsNow;
  }

  add(one: number): void {
    this.chosen.push(one);
    this.change(one, 1);
  }

  take(one: number): void {
    const at = this.chosen.indexOf(one);
    this.chosen[at] = this.chosen[this.chosen.length - 1]!;
    this.chosen.pop();
    this.change(one, -1);
  }

  /** By how many seconds the rules of time, of phases and of effort are missed; 0 where they are kept. */
  get off(): number {
    const { seconds, slack } = this.problem;
    const { total } = this;
    const offPhases = this.offPhases + missing * this.absent;
    if (total > seconds) return offPhases + total - seconds;
    if (total < seconds - slack) return offPhases + seconds - slack - total;
    return offPhases;
  }

  /** How many rules are broken that no sum of seconds tells: rises, and strong ones that nothing leads up to. */
  get broken(): number {
    const { place, strong, rises } = this.weighed;
    let broken = 0;
    if (this.strongs > 0) {
      for (const lead of this.leading) {
        const first = lead.find((place) => this.count[place]! > 0);
        if (first === undefined) broken += this.strongs;
        // Of one phase alone all that is usable lies behind it.
        else if (lead.length > 1) {
          for (const one of this.chosen) if (strong[one] && place[one]! <= first) broken += 1;
        }
      }
    }
    if (this.risings > 0) {
      for (const one of this.chosen) if (rises[one] && !this.isLed(one)) broken += 1;
    }
    return broken;
  }

  private isLed(one: number): boolean {
    const { place, top } = this.weighed;
    const least = top[one]! - greatestRise;
    for (const other of this.chosen) {
      if (top[other]! < least) continue;
      const later = place[other]! - place[one]!;
      if (later < 0 || (later === 0 && top[other]! < top[one]!)) return true;
    }
    return false;
  }

  private offOf(place: number): number {
    const { required, least, most, strong } = this.problem.phases[place]!;
    const spent = this.spent[place]!;
    let off = 0;
    if (spent < least) off += least - spent;
    if (spent > most) off += spent - most;
    if (required && this.count[place] === 0) off += missing;
    const over = this.strong[place]! - strong;
    return over > 0 ? off + missing * over : off;
  }

  private change(one: number, sign: 1 | -1): void {
    const { weighed } = this;
    const place = weighed.place[one]!;
    const seconds = sign * weighed.seconds[one]!;
    this.total += seconds;
    this.spent[place]! += seconds;
    this.count[place]! += sign;
    if (weighed.strong[one]) {
      this.strong[place]! += sign;
      this.strongs += sign;
    }
    if (weighed.rises[one]) this.risings += sign;
    const asked = weighed.asked[one]!;
    if (asked >= 0) {
      const before = this.askedFor[asked]!;
      this.askedFor[asked] = before + sign;
      if (before === 0) this.absent -= 1;
      else if (before + sign === 0) this.absent += 1;
    }
    const off = this.offOf(place);
    this.offPhases += off - this.offIn[place]!;
    this.offIn[place] = off;
    let points = sign * weighed.points[one]!;
    const { led, far } = weighed;
    for (let at = led.from[one]!; at < led.from[one + 1]!; at += 1) {
      const skill = led.under[at]!;
      const before = this.led[skill]!;
      const after = before + sign * led.figures[at]!;
      this.led[skill] = after;
      points += this.weights[skill]! * (unitsWorth(after) - unitsWorth(before));
    }
    for (let at = far.from[one]!; at < far.from[one + 1]!; at += 1) {
      points += this.comesTo(far.under[at]!, far.figures[at]!, sign);
    }
    this.pointsNow += points;
  }

  /** One more or less comes so far at an end: by how many steps that changes what is reached. */
  private comesTo(end: number, far: number, sign: 1 | -1): number {
    const comes = this.comes[end]!;
    const before = this.reached[end]!;
    comes[far]! += sign;
    if (sign > 0 ? far <= before : far < before || comes[far]! > 0) return 0;
    let now = far;
    if (sign < 0) while (now > 0 && comes[now] === 0) now -= 1;
    this.reached[end] = now;
    return now - before;
  }
}

/** The steps of the needs, those of one end of a part together: whoever reaches one of them reaches all that are nearer. */
function endsOf(problem: PlannerProblem): readonly (readonly NeedStep[])[] {
  const ends = new Map<string, NeedStep[]>();
  for (const step of stepsOf(problem)) {
    const key = `${step.end} ${step.part}`;
    const steps = ends.get(key);
    if (steps) steps.push(step);
    else ends.set(key, [step]);
  }
  return [...ends.values()];
}

/** What units of led seconds are worth for a weight of 1, looked up. */
const worths = Array.from({ length: 2 * unitsOfKind + 1 }, (_, units) =>
  skillPoints(units * unitSeconds, 1),
);
const mostWorth = worths.length - 1;
function unitsWorth(seconds: number): number {
  const units = Math.floor((seconds + sumError) / unitSeconds);
  return worths[units > mostWorth ? mostWorth : units]!;
}
