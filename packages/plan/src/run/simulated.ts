import type { PlanDocument, SentAct, SentEvent } from '@wide-fern/contract';
import { actOf, restOf, type Seconds, type Touch } from '@wide-fern/core';
import { ledPlan, runAt } from './now';

/** How somebody leads. */
export interface Leader {
  /** Talk as it is planned, times this; and all that is sung. */
  readonly talk: number;
  readonly pace: number;
  /** Every so manieth key is sung once more; none where it is 0. */
  readonly again?: number;
  /** The place of a segment in whose highest key this part strains, so that the rest goes lower. */
  readonly strains?: { readonly segment: number; readonly part: string };
  /** What sets one evening apart from the other. */
  readonly seed: number;
}

/** Numbers between 0 and 1 that are the same every time. */
function unevenness(seed: number): () => number {
  let state = (seed * 2654435761) >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/**
 * A warm-up as it might have been led, by the very touches that lead one: talk and singing are as uneven as
 * people are, around what the leader is like.
 */
export function simulatedRun(document: PlanDocument, leader: Leader): SentEvent[] {
  const plan = ledPlan({ startedAt: new Date(0).toISOString(), seconds: 0, document });
  const next = unevenness(leader.seed);
  const around = (value: Seconds): Seconds => value * (0.85 + 0.3 * next());
  const events: SentEvent[] = [];
  let at: Seconds = 0;
  let sung = 0;
  const note = (act: SentAct) => {
    const n = events.length;
    events.push({ id: `s${leader.seed}-${n}`, n, at: Math.round(1000 * at), act });
  };
  const touch = (which: Touch) => {
    const act = actOf(runAt(plan, events), which);
    if (act) note(act);
  };
  for (const [place, segment] of plan.segments.entries()) {
    touch('on');
    at += around(segment.talk * leader.talk);
    const highest = segment.keys.reduce(
      (best, { tonic }, key) => ((tonic ?? 0) > (segment.keys[best]!.tonic ?? 0) ? key : best),
      0,
    );
    for (const [key, { span, wait }] of segment.keys.entries()) {
      touch('next');
      at += around(span * leader.pace);
      sung += 1;
      const strain = leader.strains?.segment === place && key === highest && leader.strains;
      if (strain) {
        note({ kind: 'marked', part: strain.part, word: 'strained' });
        touch('lower');
      } else if (leader.again && sung % leader.again === 0) {
        touch('again');
        at += around(span * leader.pace);
      }
      at += around(wait);
    }
    at += around(segment.after * leader.talk);
    note({ kind: 'managed', how: next() < 0.35 ? 'all' : next() < 0.8 ? 'most' : 'few' });
  }
  if (restOf(runAt(plan, events)) >= 0) touch('stop');
  return events;
}
