import type { PlanDocument } from '@wide-fern/contract';
import type { LedKey, LedSegment, Seconds } from '@wide-fern/core';
import { evaluate, type Evaluated } from '../evaluate';

/** What is planned to be said or rested between a key and the next one. */
function waitAfter({ segment: { choices } }: Evaluated, key: number): Seconds {
  const { coach = 0, reset, inKeys, verses } = choices;
  const pause = inKeys?.[String(key)]?.pause?.seconds ?? 0;
  // A shake-out that falls between two times in one key belongs to the key.
  const shaken = reset && ((key + 1) * verses) % reset.every === 0 ? reset.seconds : 0;
  return coach + pause + shaken;
}

/** Keys as they are led one by one; counted breath leads itself, and what is spoken is one thing. */
function ledKeys(one: Evaluated): LedKey[] {
  const { computed, segment } = one;
  const { repetitions, talk, seconds } = computed;
  const { after = 0 } = segment.choices;
  const { kind } = segment.exercise.music;
  const whole = seconds - talk - after;
  if (kind === 'breath' || repetitions.length < 2) {
    const tonic = repetitions[0]?.tonic ?? null;
    return [{ tonic, seconds: whole, span: whole, wait: 0 }];
  }
  // The count-in and what is sung first belong to the key they lead to.
  const begins = (i: number) => (i === 0 ? talk : repetitions[i]!.at);
  return repetitions.map(({ at, seconds: sung, tonic = null }, i): LedKey => {
    const from = begins(i);
    const isLast = i === repetitions.length - 1;
    const length = at + sung - from;
    if (isLast) return { tonic, seconds: whole + talk - from, span: whole + talk - from, wait: 0 };
    const toNext = begins(i + 1) - from;
    const wait = Math.min(waitAfter(one, i), toNext - length);
    return { tonic, seconds: length, span: toNext - wait, wait };
  });
}

/** A segment of a plan as it is led. */
const ledSegment = (one: Evaluated): LedSegment => ({
  id: one.segment.id,
  talk: one.computed.talk,
  keys: ledKeys(one),
  after: one.segment.choices.after ?? 0,
});

/** A plan as it is led, segment by segment. */
export const ledSegments = (document: PlanDocument): LedSegment[] =>
  evaluate(document, 0).segments.map(ledSegment);
