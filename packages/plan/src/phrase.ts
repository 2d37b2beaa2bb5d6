import type { LedOnce } from '@wide-fern/contract';
import { learnedPhrase, type Seconds } from '@wide-fern/core';
import { counts, type LearnedFrom } from './likely';

/** How long a choir breathed out at the longest on an evening, most or all managing it. */
export interface Breathed {
  readonly ledAt: string;
  readonly seconds: Seconds;
}

/** The comfortable phrase by what was led. */
export interface LedPhrase {
  /** In whole seconds. */
  readonly seconds: Seconds;
  /** The evenings it comes from, the latest first. */
  readonly from: readonly Breathed[];
}

const msADay = 24 * 60 * 60_000;
/** As many evenings as the rule looks at last. */
const named = 4;

/** The longest of each day, the latest day first. */
function byDay(led: readonly LedOnce[], marks: LearnedFrom): Breathed[] {
  const longest = new Map<string, Breathed>();
  for (const one of led) {
    const { ledAt, breath, managed } = one;
    if (breath === null || !(managed === 'most' || managed === 'all')) continue;
    if (!counts(one, marks)) continue;
    const day = ledAt.slice(0, 10);
    const before = longest.get(day);
    if (!before || breath > before.seconds) longest.set(day, { ledAt, seconds: breath });
  }
  return [...longest.values()].sort((a, b) => Date.parse(b.ledAt) - Date.parse(a.ledAt));
}

/**
 * The comfortable phrase by what was led (docs/model.md, section 13); undefined where that says too little.
 * @param marks from when on it counts, where what was learned before was refused
 */
export function phraseByLed(
  led: readonly LedOnce[],
  marks: LearnedFrom = {},
): LedPhrase | undefined {
  const breathed = byDay(led, marks);
  const seconds = learnedPhrase(
    breathed.map((one) => ({ day: Date.parse(one.ledAt) / msADay, seconds: one.seconds })),
  );
  if (seconds === undefined) return undefined;
  return { seconds: Math.floor(seconds), from: breathed.slice(0, named) };
}
