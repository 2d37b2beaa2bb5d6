import type { PlanDocument, RunHead, Segment, SentEvent } from '@wide-fern/contract';
import { effective, ordered, runState, type LedSegment, type RunState } from '@wide-fern/core';
import { evaluate, type EvaluatedPlan } from '../evaluate';
import { ledSegments } from './led';

/** A run as it was planned, worked out once for all that is asked of it. */
export interface LedPlan {
  readonly head: RunHead;
  readonly segments: readonly LedSegment[];
}

export const ledPlan = (head: RunHead): LedPlan => ({
  head,
  segments: ledSegments(head.document),
});

/** Where a run is at a moment of it, in milliseconds; at its last event where none is said. */
export const runAt = (
  { segments }: Pick<LedPlan, 'segments'>,
  events: readonly SentEvent[],
  now?: number,
): RunState => runState(segments, events, now);

/** The plan as it is led now: what was, and what remains as it was put last. */
function documentNow(
  { head }: Pick<LedPlan, 'head'>,
  events: readonly SentEvent[],
  state: Pick<RunState, 'segments'>,
): PlanDocument {
  const known = new Map<string, Segment>(head.document.segments.map((one) => [one.id, one]));
  let { tonight } = head.document;
  for (const { act } of effective(ordered(events)) as SentEvent[]) {
    if (act.kind !== 'renewed') continue;
    for (const segment of act.segments) known.set(segment.id, segment);
    tonight = act.tonight ?? tonight;
  }
  const segments = state.segments.flatMap(({ id }) => known.get(id) ?? []);
  const { document } = head;
  const isSame =
    tonight === document.tonight &&
    segments.length === document.segments.length &&
    segments.every((segment, i) => segment === document.segments[i]);
  return isSame ? document : { ...document, tonight, segments };
}

/** The same, computed. */
export const planNow = (
  plan: LedPlan,
  events: readonly SentEvent[],
  state: Pick<RunState, 'segments'>,
): EvaluatedPlan => evaluate(documentNow(plan, events, state), plan.head.seconds);
