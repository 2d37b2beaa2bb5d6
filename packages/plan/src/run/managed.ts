import type { SentAct } from '@wide-fern/contract';
import { breathLengthened, type BreathTiming, type Managing, type RunState } from '@wide-fern/core';
import type { EvaluatedPlan } from '../evaluate';

/** What comes of it when few managed a key. */
export const whenFew = ['nothing', 'again', 'lower'] as const;

/** What whoever leads wants to come of «all managed» and «few managed»; of «most» comes nothing. */
export interface ManagedRule {
  /** So many counts longer the next rounds of breath are when all managed, and shorter when few did. */
  readonly counts: number;
  readonly few: (typeof whenFew)[number];
}

/** The open exercise, where it is counted breath that goes on. */
function breathNow({ segments }: EvaluatedPlan, state: RunState): BreathTiming | undefined {
  if (state.key === null || state.isOver) return undefined;
  const id = state.segments[state.open]?.id;
  const open = segments.find(({ segment }) => segment.id === id)?.segment;
  if (open?.exercise.music.kind !== 'breath') return undefined;
  const { repetitions, tempo } = open.choices;
  return { ...open.exercise.music, rounds: repetitions, tempo };
}

const signs: Readonly<Record<Managing, number>> = { all: 1, most: 0, few: -1 };

/**
 * What is noted when it is said how many managed what is going on, and what comes of it by the rule: of
 * counted breath the rounds that are still to begin are longer or shorter, a key is sung again or what
 * follows lower (docs/model.md, section 12).
 * @param state with the time up to now
 */
export function managedActs(
  plan: EvaluatedPlan,
  state: RunState,
  how: Managing,
  { counts, few }: ManagedRule,
): SentAct[] {
  const breath = breathNow(plan, state);
  const more = signs[how] * counts;
  if (breath) {
    const seconds = breathLengthened(breath, state.longer, { at: state.spent, counts: more });
    return [
      { kind: 'managed', how, ...(seconds === 0 ? {} : { longer: { counts: more, seconds } }) },
    ];
  }
  const present = state.segments[state.open]?.keys[state.key ?? -1];
  const isSung = present !== undefined && present.tonic !== null && !state.isOver;
  if (how !== 'few' || !isSung || few === 'nothing') return [{ kind: 'managed', how }];
  return [
    { kind: 'managed', how },
    few === 'again' ? { kind: 'again' } : { kind: 'shifted', semitones: -1 },
  ];
}
