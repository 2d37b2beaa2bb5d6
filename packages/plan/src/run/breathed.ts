import type { Segment, SentEvent } from '@wide-fern/contract';
import {
  effective,
  longestOut,
  ordered,
  type BreathChange,
  type RunState,
  type Seconds,
} from '@wide-fern/core';
import { runAt, type LedPlan } from './now';

/** What was made longer or shorter while an exercise went on, as it stood when that was said last. */
function changesIn(
  led: Pick<LedPlan, 'segments'>,
  events: readonly SentEvent[],
  segment: string,
): readonly BreathChange[] {
  const happened = effective(ordered(events)) as SentEvent[];
  return happened.reduce<readonly BreathChange[]>((before, { act }, i) => {
    if (act.kind !== 'managed' || !act.longer) return before;
    const state = runAt(led, happened.slice(0, i + 1));
    return state.segments[state.open]?.id === segment ? state.longer : before;
  }, []);
}

/** The longest stretch out on one breath in an exercise of a run that is over; null where breath is not counted. */
export function longestBreath(
  led: Pick<LedPlan, 'segments'>,
  events: readonly SentEvent[],
  { id, exercise: { music }, choices: { repetitions, tempo } }: Segment,
  { records }: Pick<RunState, 'records'>,
): Seconds | null {
  const record = records.find((one) => one.id === id);
  if (music.kind !== 'breath' || !record) return null;
  // Begun anew, each time counts for itself.
  const times = record.keys.reduce((sum, key) => sum + key.times, 0);
  const seconds = record.singing / Math.max(1, times);
  const changes = changesIn(led, events, id);
  return longestOut({ ...music, rounds: repetitions, tempo }, seconds, changes);
}
