import type { Seconds } from '../../units';
import { reachesStep, stepsOf, unitSeconds, unitsOfKind } from '../points';
import type { Candidate, PlannerProblem } from '../problem';
import type { Sheet } from './sheet';

/** Led seconds on a skill, of one candidate. */
const on =
  (skill: string) =>
  ({ serves }: Candidate): Seconds =>
    serves[skill] ?? 0;

const totalOn = (skill: string, chosen: readonly Candidate[]): Seconds =>
  chosen.reduce((sum, one) => sum + on(skill)(one), 0);

/**
 * The units of each skill: whole numbers, of which the first ones count double. What one candidate brings
 * beyond all that counts is left out of the rows: the programme is tighter, and the same.
 */
export function addSkills(sheet: Sheet, { wishes }: PlannerProblem): void {
  for (const [skill, weight] of Object.entries(wishes)) {
    if (weight === 0) continue;
    const units = (chosen: readonly Candidate[]) =>
      Math.floor(totalOn(skill, chosen) / unitSeconds);
    const double = sheet.follow({ cost: 2 * weight, upper: unitsOfKind, integer: true }, (chosen) =>
      Math.min(unitsOfKind, units(chosen)),
    );
    const once = sheet.follow({ cost: weight, upper: unitsOfKind, integer: true }, (chosen) =>
      Math.min(unitsOfKind, Math.max(0, units(chosen) - unitsOfKind)),
    );
    const upTo = (count: number) =>
      sheet.weighed((one) => Math.min(count * unitSeconds, on(skill)(one)));
    sheet.atMost(
      [
        [double, unitSeconds],
        [once, unitSeconds],
      ],
      upTo(2 * unitsOfKind),
    );
    sheet.atMost([[double, unitSeconds]], upTo(unitsOfKind));
  }
}

/** The steps of the needs: each is reached when anything chosen reaches it. */
export function addNeeds(sheet: Sheet, problem: PlannerProblem): void {
  for (const step of stepsOf(problem)) {
    const reaching = sheet.each((one) => reachesStep(one, step));
    if (reaching.length === 0) continue;
    const reached = sheet.follow({ cost: 1, upper: 1, integer: false }, (chosen) =>
      chosen.some((one) => reachesStep(one, step)) ? 1 : 0,
    );
    sheet.atMost([[reached, 1]], reaching);
  }
}
