import type { PlanDocument } from '@wide-fern/contract';
import { timeByPhase, type PhaseTime, type Seconds } from '@wide-fern/core';
import { evaluate } from '../evaluate';

/** What a plan has for each phase, without talk, and how long it is in all. */
export function plannedTimes(document: PlanDocument): {
  readonly times: readonly PhaseTime[];
  readonly total: Seconds;
} {
  const { segments, total } = evaluate(document, 0);
  const led = segments.map(({ segment: { exercise, choices }, computed }) => ({
    column: '',
    phase: exercise.phase,
    singing: computed.seconds - computed.talk - (choices.after ?? 0),
  }));
  return { times: timeByPhase([''], led), total };
}
