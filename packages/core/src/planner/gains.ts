import type { Seconds } from '../units';
import { reachesStep, stepsOf, sumError, unitSeconds, unitsOfKind, type NeedStep } from './points';
import type { Candidate, PlannerProblem } from './problem';
import type { Sheet } from './sheet';

/** Led seconds on a skill, of one candidate. */
const on =
  (skill: string) =>
  ({ serves }: Candidate): Seconds =>
    serves[skill] ?? 0;

const totalOn = (skill: string, chosen: readonly Candidate[]): Seconds =>
  chosen.reduce((sum, one) => sum + on(skill)(one), 0);

/** Seconds at which a candidate begins to help more: halves and wholes of what each of the units needs. */
const steps: readonly Seconds[] = [
  0,
  ...new Set(
    Array.from({ length: 2 * unitsOfKind }, (_, i) => (i + 1) * unitSeconds).flatMap((all) => [
      all / 2,
      all,
    ]),
  ),
].sort((a, b) => a - b);

/**
 * By how much a candidate with at least so many seconds can help to so many in all, in rows that are all
 * true and together tight: a half where it does not do alone; where two halves of the time make it, two
 * thirds for what is a half and one third for what is less.
 */
const helps: readonly ((seconds: Seconds, all: Seconds) => number)[] = [
  (seconds, all) => (seconds >= all ? 1 : 1 / 2),
  (seconds, all) => (seconds >= all ? 1 : seconds >= all / 2 ? 2 / 3 : 1 / 3),
];

/** The units of each skill, one after the other: the first ones count double. */
export function addSkills(sheet: Sheet, { wishes }: PlannerProblem): void {
  for (const [skill, weight] of Object.entries(wishes)) {
    if (weight === 0) continue;
    const seconds = on(skill);
    const classes = steps.map((step, i) => {
      const next = steps[i + 1] ?? Infinity;
      const isIn = (led: Seconds) => led > 0 && led + sumError >= step && led + sumError < next;
      return { step, column: sheet.sum((one) => isIn(seconds(one))) };
    });
    const units = Array.from({ length: 2 * unitsOfKind }, (_, i) =>
      sheet.follow(
        { cost: i < unitsOfKind ? 2 * weight : weight, upper: 1, integer: true },
        (chosen) => (totalOn(skill, chosen) + sumError >= (i + 1) * unitSeconds ? 1 : 0),
      ),
    );
    units.forEach((unit, i) => {
      const all = (i + 1) * unitSeconds;
      if (i > 0) sheet.atMost([[unit, 1]], [[units[i - 1]!, 1]]);
      for (const help of helps) {
        sheet.atMost(
          [[unit, 1]],
          classes.flatMap(({ step, column }) =>
            column === undefined ? [] : [[column, help(step, all)] as const],
          ),
        );
      }
    });
    // What one candidate brings beyond all that counts is left out: tighter, and the same.
    for (const count of [unitsOfKind, 2 * unitsOfKind]) {
      sheet.atMost(
        units.slice(0, count).map((unit) => [unit, unitSeconds] as const),
        sheet.weighed((one) => Math.min(count * unitSeconds, seconds(one))),
      );
    }
  }
}

/**
 * The steps of the needs: each is reached by what reaches just that far, or by whatever reaches the next
 * one. From the furthest to the nearest.
 */
export function addNeeds(sheet: Sheet, problem: PlannerProblem): void {
  let before: { step: NeedStep; column: number | undefined } | undefined;
  for (const step of furthestFirst(stepsOf(problem))) {
    const isOn = before?.step.part === step.part && before.step.end === step.end;
    const further = isOn ? before : undefined;
    const here = sheet.each(
      (one) => reachesStep(one, step) && !(further && reachesStep(one, further.step)),
    );
    const beyond = further?.column === undefined ? [] : ([[further.column, 1]] as const);
    let column: number | undefined;
    if (here.length + beyond.length > 0) {
      column = sheet.follow({ cost: 1, upper: 1, integer: false }, (chosen) =>
        chosen.some((one) => reachesStep(one, step)) ? 1 : 0,
      );
      sheet.atMost([[column, 1]], [...here, ...beyond]);
    }
    before = { step, column };
  }
}

/** Steps of one part and end after another, those first that are furthest from the middle. */
const furthestFirst = (all: readonly NeedStep[]): NeedStep[] => {
  const key = ({ part, end }: NeedStep) => `${part} ${end}`;
  return [...all].sort(
    (a, b) =>
      (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0) ||
      (a.end === 'top' ? b.note - a.note : a.note - b.note),
  );
};
