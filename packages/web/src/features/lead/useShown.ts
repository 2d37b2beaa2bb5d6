import type { RunHead, Segment, SentEvent } from '@wide-fern/contract';
import type { NoteWriting, RunState } from '@wide-fern/core';
import { ledPlan, planNow, runAt, type EvaluatedPlan, type LedPlan } from '@wide-fern/plan';
import { standOf, standTime, type Stand, type StandTime } from '@wide-fern/words';
import { useMemo } from 'react';

/** A run as it is shown, at a moment of it. */
export interface Shown {
  readonly led: LedPlan;
  /** Where it is by what happened, and the same with the time since. */
  readonly settled: RunState;
  readonly state: RunState;
  readonly plan: EvaluatedPlan;
  /** Undefined before the first exercise. */
  readonly stand: Stand | undefined;
  readonly present: Segment | undefined;
  readonly time: StandTime;
}

/**
 * A run as it is shown.
 * @param now milliseconds since it began
 */
export function useShown(
  { head, events }: { readonly head: RunHead; readonly events: readonly SentEvent[] },
  now: number,
  writing: NoteWriting,
): Shown {
  const led = useMemo(() => ledPlan(head), [head]);
  const settled = useMemo(() => runAt(led, events), [led, events]);
  const plan = useMemo(() => planNow(led, events, settled), [led, events, settled]);
  const stand = useMemo(() => standOf(plan, settled, writing), [plan, settled, writing]);
  const state = runAt(led, events, now);
  const open = settled.segments[settled.open]?.id;
  const present = plan.segments.find(({ segment }) => segment.id === open)?.segment;
  return { led, settled, state, plan, stand, present, time: standTime(state, head.seconds) };
}
