import type { PitchRange, Semitones } from '../units';
import { sectionComfort, type SectionComfort, type SingerRange } from './comfort';

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

/** What a section can sing on an evening, and on how many singers that rests. */
export interface SectionTonight extends SectionComfort {
  /** Singers here whose range is known; 0 when the part's usual figures stand in. */
  readonly singers: number;
}

/** A reach that holds the comfort, also where the section's two longest runs lie apart. */
const holding = (reach: PitchRange, comfort: PitchRange): PitchRange => [
  Math.min(reach[0], comfort[0]),
  Math.max(reach[1], comfort[1]),
];

/**
 * A section's comfort and reach tonight, from the singers who are here with a known range; without
 * any, the part's usual figures in the choir's condition.
 */
export function sectionTonight(
  usual: SingerRange,
  singers: readonly SingerTonight[],
  setting: { readonly share: number; readonly condition: Condition; readonly trims?: Trims },
): SectionTonight {
  const { share, condition, trims } = setting;
  if (singers.length === 0) {
    const nobody = { ...usual, states: [], checkedToday: false };
    return { ...rangeTonight(nobody, condition, trims), suits: true, singers: 0 };
  }
  const ranges = singers.map((singer) => rangeTonight(singer, condition, trims));
  const { comfort, reach, suits } = sectionComfort(ranges, share);
  return { comfort, reach: holding(reach, comfort), suits, singers: singers.length };
}
