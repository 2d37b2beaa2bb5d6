import type { Purpose, RunState } from '@wide-fern/core';
import type { EvaluatedPlan } from '../evaluate';

/** What readies the body, and is no skill that a piece asks for. */
const readying: ReadonlySet<Purpose> = new Set(['posture', 'loosening', 'settling']);

/** The skills of singing that were worked on in a run, those first that most was sung or done for. */
export function workedOn(
  { segments }: Pick<EvaluatedPlan, 'segments'>,
  { records }: Pick<RunState, 'records'>,
): Purpose[] {
  const seconds = new Map<Purpose, number>();
  for (const { id, singing } of records) {
    const exercise = segments.find(({ segment }) => segment.id === id)?.segment.exercise;
    for (const purpose of exercise?.purposes ?? []) {
      if (singing > 0 && !readying.has(purpose))
        seconds.set(purpose, (seconds.get(purpose) ?? 0) + singing);
    }
  }
  return [...seconds].sort(([, one], [, other]) => other - one).map(([purpose]) => purpose);
}
