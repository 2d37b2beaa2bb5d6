import { breachesOf } from './breaches';
import { reachesStep, skillPoints, stepsOf } from './points';
import { placesOf, type Candidate, type PlannerProblem } from './problem';

/** What one candidate brings, worked out once. */
interface Weighed {
  readonly place: number;
  readonly serves: readonly (readonly [skill: number, seconds: number])[];
  readonly steps: readonly number[];
}

/** A missing segment weighs as much as so many seconds too many or too few. */
const missing = 120;

/**
 * A selection that grows and shrinks by single candidates: its points at every moment, and how far it is
 * from keeping the rules of time, in seconds.
 */
export class Tally {
  readonly chosen: Candidate[] = [];
  private readonly weighed = new Map<Candidate, Weighed>();
  private readonly weights: readonly number[];
  private readonly led: number[];
  private readonly reached: number[];
  private readonly spent: number[];
  private readonly count: number[];
  private readonly strong: number[];
  private total = 0;
  private pointsNow = 0;

  constructor(
    private readonly problem: PlannerProblem,
    usable: readonly Candidate[],
  ) {
    const skills = Object.keys(problem.wishes);
    const steps = stepsOf(problem);
    const places = placesOf(problem);
    this.weights = skills.map((skill) => problem.wishes[skill]!);
    this.led = skills.map(() => 0);
    this.reached = steps.map(() => 0);
    this.spent = problem.phases.map(() => 0);
    this.count = problem.phases.map(() => 0);
    this.strong = problem.phases.map(() => 0);
    for (const one of usable) {
      this.weighed.set(one, {
        place: places.get(one.phase)!,
        serves: skills.flatMap((skill, i) => (one.serves[skill] ? [[i, one.serves[skill]]] : [])),
        steps: steps.flatMap((step, i) => (reachesStep(one, step) ? [i] : [])),
      });
    }
  }

  get points(): number {
    return this.pointsNow;
  }

  add(one: Candidate): void {
    this.chosen.push(one);
    this.change(one, 1);
  }

  take(one: Candidate): void {
    this.chosen.splice(this.chosen.indexOf(one), 1);
    this.change(one, -1);
  }

  /** By how many seconds the rules of time, of phases and of effort are missed; 0 where they are kept. */
  get off(): number {
    const { seconds, slack, phases } = this.problem;
    let off = Math.max(0, this.total - seconds) + Math.max(0, seconds - slack - this.total);
    phases.forEach(({ required, least, most, strong }, place) => {
      const spent = this.spent[place]!;
      off += Math.max(0, least - spent) + Math.max(0, spent - most);
      if (required && this.count[place] === 0) off += missing;
      off += missing * Math.max(0, this.strong[place]! - strong);
    });
    return off;
  }

  /** How many rules are broken that no sum of seconds tells. */
  get broken(): number {
    return breachesOf(this.problem, this.chosen).filter((name) => /^(strong|rise|pin):/.test(name))
      .length;
  }

  private change(one: Candidate, sign: 1 | -1): void {
    const { place, serves, steps } = this.weighed.get(one)!;
    this.total += sign * one.seconds;
    this.spent[place]! += sign * one.seconds;
    this.count[place]! += sign;
    if (one.strong) this.strong[place]! += sign;
    this.pointsNow += sign * one.points;
    for (const [skill, seconds] of serves) {
      const weight = this.weights[skill]!;
      const before = skillPoints(this.led[skill]!, weight);
      this.led[skill]! += sign * seconds;
      this.pointsNow += skillPoints(this.led[skill]!, weight) - before;
    }
    for (const step of steps) {
      const before = this.reached[step]!;
      this.reached[step] = before + sign;
      if (before === 0) this.pointsNow += 1;
      else if (before + sign === 0) this.pointsNow -= 1;
    }
  }
}
