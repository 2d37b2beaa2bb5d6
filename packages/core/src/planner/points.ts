import type { Seconds } from '../units';
import type { Candidate, PlannerProblem, PointParts } from './problem';

/** Led time on a skill counts in units of so long. */
export const unitSeconds: Seconds = 30;
/** So many units count double, and as many after them once; more count nothing. */
export const unitsOfKind = 2;

/** Sums of seconds in another order differ by less than this. */
export const sumError = 1e-6;

/** What led seconds on a skill are worth that is wished for with a weight. */
export function skillPoints(seconds: Seconds, weight: number): number {
  const units = Math.floor((seconds + sumError) / unitSeconds);
  const double = Math.min(unitsOfKind, units);
  const once = Math.min(unitsOfKind, Math.max(0, units - unitsOfKind));
  return weight * (2 * double + once);
}

/** Led seconds on each wished skill, over a selection. */
export function secondsOnSkills(
  { wishes }: Pick<PlannerProblem, 'wishes'>,
  selection: readonly Pick<Candidate, 'serves'>[],
): Record<string, Seconds> {
  return Object.fromEntries(
    Object.keys(wishes).map((skill) => [
      skill,
      selection.reduce((sum, { serves }) => sum + (serves[skill] ?? 0), 0),
    ]),
  );
}

/** A note that a part should have been on, or beyond. */
export interface NeedStep {
  readonly part: string;
  readonly end: 'top' | 'bottom';
  readonly note: number;
}

/** Every step of the needs: each counts a point when somebody's segment reaches it. */
export const stepsOf = ({ needs }: Pick<PlannerProblem, 'needs'>): readonly NeedStep[] =>
  Object.entries(needs).flatMap(([part, need]) =>
    (['top', 'bottom'] as const).flatMap((end) => {
      const range = need[end];
      if (!range) return [];
      const [from, to] = range;
      return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => ({
        ...{ part, end, note: from + i },
      }));
    }),
  );

/** Whether a segment brings a part to a note, or beyond it. */
export function reachesStep({ high, low }: Candidate, { part, end, note }: NeedStep): boolean {
  const reached = (end === 'top' ? high : low)?.[part];
  if (reached === undefined) return false;
  return end === 'top' ? reached >= note : reached <= note;
}

/** The points of a selection, by where they come from (docs/model.md, section 10). */
export function pointsOf(
  problem: Pick<PlannerProblem, 'wishes' | 'needs'>,
  selection: readonly Candidate[],
): { readonly points: number; readonly parts: PointParts } {
  const led = secondsOnSkills(problem, selection);
  const skills = Object.entries(problem.wishes).reduce(
    (sum, [skill, weight]) => sum + skillPoints(led[skill]!, weight),
    0,
  );
  const needs = stepsOf(problem).filter((step) =>
    selection.some((one) => reachesStep(one, step)),
  ).length;
  const own = selection.reduce((sum, { points }) => sum + points, 0);
  return { points: skills + needs + own, parts: { skills, needs, own } };
}

/** What no plan can exceed, told without any search. */
export function ceilingOf(problem: PlannerProblem): number {
  const skills = Object.values(problem.wishes).reduce(
    (sum, weight) => sum + skillPoints(2 * unitsOfKind * unitSeconds, weight),
    0,
  );
  const best = new Map<string, number>();
  for (const { exercise, points } of problem.candidates) {
    best.set(exercise, Math.max(0, best.get(exercise) ?? 0, points));
  }
  return skills + stepsOf(problem).length + [...best.values()].reduce((sum, own) => sum + own, 0);
}
