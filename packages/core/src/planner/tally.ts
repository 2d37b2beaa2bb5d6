import { reachesStep, skillPoints, stepsOf, sumError, unitSeconds, unitsOfKind } from './points';
import { greatestRise, leadsOf, placesOf, type Candidate, type PlannerProblem } from './problem';

/** What one candidate brings, worked out once. */
interface Weighed {
  readonly seconds: number;
  readonly points: number;
  readonly place: number;
  readonly strong: boolean;
  /** Null where it needs nobody to lead up to it. */
  readonly rises: number | null;
  readonly top: number | null;
  readonly skills: readonly number[];
  /** In the order of its skills. */
  readonly led: readonly number[];
  readonly steps: readonly number[];
  /** Which of the exercises that are asked for it is; −1 for none of them. */
  readonly asked: number;
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
  private readonly weighed: readonly Weighed[];
  private readonly weights: readonly number[];
  /** The places of the phases that have to lead up to strong segments. */
  private readonly leading: readonly (readonly number[])[];
  private readonly led: number[];
  private readonly reached: number[];
  private readonly spent: number[];
  private readonly count: number[];
  private readonly strong: number[];
  private readonly offIn: number[];
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
    const steps = stepsOf(problem);
    const places = placesOf(problem);
    const { reached, phases } = problem;
    this.leading = leadsOf(problem, places).map((lead) => [...lead].sort((a, b) => a - b));
    this.weights = skills.map((skill) => problem.wishes[skill]!);
    this.led = skills.map(() => 0);
    this.reached = steps.map(() => 0);
    const asked = [...new Set(problem.included)];
    this.askedFor = asked.map(() => 0);
    this.absent = asked.length;
    this.spent = phases.map(() => 0);
    this.count = phases.map(() => 0);
    this.strong = phases.map(() => 0);
    this.offIn = phases.map((_, place) => this.offOf(place));
    this.offPhases = this.offIn.reduce((sum, off) => sum + off, 0);
    this.weighed = usable.map((one) => {
      const served = skills.flatMap((skill, i) => ((one.serves[skill] ?? 0) > 0 ? [i] : []));
      const { seconds, points, strong, top } = one;
      return {
        ...{ seconds, points, strong, top },
        place: places.get(one.phase)!,
        rises: reached !== null && top !== null && top > reached + greatestRise ? top : null,
        skills: served,
        led: served.map((i) => one.serves[skills[i]!]!),
        steps: steps.flatMap((step, i) => (reachesStep(one, step) ? [i] : [])),
        asked: asked.indexOf(one.exercise),
      };
    });
  }

  get points(): number {
    return this.pointsNow;
  }

  add(one: number): void {
    this.chosen.push(one);
    this.change(this.weighed[one]!, 1);
  }

  take(one: number): void {
    const at = this.chosen.indexOf(one);
    this.chosen[at] = this.chosen[this.chosen.length - 1]!;
    this.chosen.pop();
    this.change(this.weighed[one]!, -1);
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
    let broken = 0;
    if (this.strongs > 0) {
      for (const lead of this.leading) {
        const first = lead.find((place) => this.count[place]! > 0);
        if (first === undefined) broken += this.strongs;
        // Of one phase alone all that is usable lies behind it.
        else if (lead.length > 1) {
          for (const one of this.chosen) {
            const { strong, place } = this.weighed[one]!;
            if (strong && place <= first) broken += 1;
          }
        }
      }
    }
    if (this.risings > 0) {
      for (const one of this.chosen) {
        const here = this.weighed[one]!;
        if (here.rises !== null && !this.isLed(here.rises, here.place)) broken += 1;
      }
    }
    return broken;
  }

  private isLed(top: number, place: number): boolean {
    const least = top - greatestRise;
    for (const one of this.chosen) {
      const other = this.weighed[one]!;
      if (other.top === null || other.top < least) continue;
      if (other.place < place || (other.place === place && other.top < top)) return true;
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

  private change(one: Weighed, sign: 1 | -1): void {
    const { seconds, place, skills, led, steps } = one;
    this.total += sign * seconds;
    this.spent[place]! += sign * seconds;
    this.count[place]! += sign;
    if (one.strong) {
      this.strong[place]! += sign;
      this.strongs += sign;
    }
    if (one.rises !== null) this.risings += sign;
    if (one.asked >= 0) {
      const before = this.askedFor[one.asked]!;
      this.askedFor[one.asked] = before + sign;
      if (before === 0) this.absent -= 1;
      else if (before + sign === 0) this.absent += 1;
    }
    const off = this.offOf(place);
    this.offPhases += off - this.offIn[place]!;
    this.offIn[place] = off;
    let points = sign * one.points;
    for (let i = 0; i < skills.length; i += 1) {
      const skill = skills[i]!;
      const before = this.led[skill]!;
      const after = before + sign * led[i]!;
      this.led[skill] = after;
      points += this.weights[skill]! * (unitsWorth(after) - unitsWorth(before));
    }
    for (let i = 0; i < steps.length; i += 1) {
      const step = steps[i]!;
      const before = this.reached[step]!;
      this.reached[step] = before + sign;
      if (before === 0) points += 1;
      else if (before + sign === 0) points -= 1;
    }
    this.pointsNow += points;
  }
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
