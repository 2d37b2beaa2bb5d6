import type { PitchRange, Semitones } from '../units';

/** How a whole choir comes to an evening. */
export const conditions = ['rested', 'after-work', 'morning', 'cold', 'returning'] as const;
export type Condition = (typeof conditions)[number];

/** How a single singer comes to it. */
export const singerStates = ['tired', 'returning', 'ill', 'changing'] as const;
export type SingerState = (typeof singerStates)[number];

/** What a condition takes off a comfort, in semitones; both at least 0. */
export interface Trim {
  readonly top: Semitones;
  readonly bottom: Semitones;
}

/** What each condition and state takes off. */
export interface Trims {
  readonly conditions: Readonly<Record<Condition, Trim>>;
  readonly states: Readonly<Record<SingerState, Trim>>;
}

/** The usual trims: heuristics that a choir can change, never a medical statement (docs/model.md, section 2). */
export const usualTrims: Trims = {
  conditions: {
    rested: { top: 0, bottom: 0 },
    'after-work': { top: 1, bottom: 0 },
    morning: { top: 2, bottom: 0 },
    cold: { top: 2, bottom: 1 },
    returning: { top: 2, bottom: 1 },
  },
  states: {
    tired: { top: 1, bottom: 0 },
    returning: { top: 2, bottom: 1 },
    ill: { top: 2, bottom: 1 },
    changing: { top: 2, bottom: 2 },
  },
};

/** What is taken off tonight: at each end the largest of the choir's and the singer's trims, not the sum. */
export function trimTonight(
  condition: Condition,
  states: readonly SingerState[],
  trims: Trims = usualTrims,
): Trim {
  const all = [trims.conditions[condition], ...states.map((state) => trims.states[state])];
  return {
    top: Math.max(...all.map(({ top }) => top)),
    bottom: Math.max(...all.map(({ bottom }) => bottom)),
  };
}

/** A comfort with a trim taken off; one narrower than its trim keeps the note in the middle of what would be left. */
export function trimmed([low, high]: PitchRange, { top, bottom }: Trim): PitchRange {
  const [from, to] = [low + bottom, high - top];
  if (from <= to) return [from, to];
  const middle = Math.min(high, Math.max(low, Math.floor((from + to) / 2)));
  return [middle, middle];
}

/** A singer as an evening finds them. */
export interface SingerTonight {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly states: readonly SingerState[];
  /** The range was checked on this very day: then it is as it was found. */
  readonly checkedToday: boolean;
}

/** A singer's limits tonight: the comfort trimmed, the reach as it is (docs/model.md, section 2). */
export function rangeTonight(
  { comfort, reach, states, checkedToday }: SingerTonight,
  condition: Condition,
  trims: Trims = usualTrims,
): { readonly comfort: PitchRange; readonly reach: PitchRange } {
  if (checkedToday) return { comfort, reach };
  return { comfort: trimmed(comfort, trimTonight(condition, states, trims)), reach };
}
