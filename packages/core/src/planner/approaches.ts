import type { Phase } from '../exercise/vocabulary';
import type { Shape } from '../ladder';
import type { Leading, PurposeTime } from '../plan/leading';

/** A phase of an approach: its share of the time, in per cent. */
export interface ApproachPhase {
  readonly phase: Phase;
  readonly required: boolean;
  readonly least: number;
  readonly most: number;
  /** At most so many strong segments in it; one where it is not said. */
  readonly strong?: number | undefined;
}

/** How a warm-up is made: what it has in which order, and how it is led (docs/model.md, section 10). */
export interface Approach extends Leading {
  readonly id: string;
  readonly phases: readonly ApproachPhase[];
  /** How keys move where an exercise lives in the middle or at the top of the voice; as usual where it is not said. */
  readonly shape?: Shape | undefined;
  readonly step?: number | undefined;
  readonly bySteps?: boolean | undefined;
  /** At most and at least so many keys. */
  readonly keys?: readonly [least: number, most: number] | undefined;
  /** Whether no segment rises by more than a fourth above what was reached. */
  readonly rise: boolean;
  /** Whether what was not used lately comes first, or what is known. */
  readonly habit: 'vary' | 'keep';
  /** How long is talked before an exercise, in seconds; as usual for it where it is not said. */
  readonly talk?: number | undefined;
  readonly purposeSaid?: PurposeTime | undefined;
  /** Whether what did not succeed is done again until it does. */
  readonly untilRight?: boolean | undefined;
}

/** A phase with its share; a star marks what is required. */
const share = (phase: Phase, shares: string): ApproachPhase => {
  const required = shares.startsWith('*');
  const [least = 0, most = 0] = shares.replace('*', '').split('-').map(Number);
  return { phase, required, least, most };
};

/** The approaches that come with it, as practice showed them; a beginning. */
export const approaches = [
  {
    id: 'evening-after-work',
    phases: [
      share('release', '*8-20'),
      share('breath', '*4-15'),
      share('onset', '*8-25'),
      share('resonance', '0-20'),
      share('range', '*12-45'),
      share('agility', '0-25'),
      share('listening', '0-20'),
      share('articulation', '0-15'),
      share('piece', '0-25'),
    ],
    shape: 'up',
    step: 1,
    lowVoices: 'below',
    rise: true,
    habit: 'vary',
  },
  {
    id: 'cold-morning',
    phases: [
      share('release', '*20-45'),
      share('breath', '0-20'),
      share('onset', '*18-35'),
      share('resonance', '0-20'),
      share('range', '*8-30'),
      share('listening', '0-20'),
      share('piece', '0-15'),
    ],
    shape: 'two-runs',
    step: 1,
    rise: true,
    habit: 'vary',
  },
  {
    id: 'before-a-performance',
    phases: [
      share('release', '*8-20'),
      share('breath', '0-10'),
      share('onset', '*10-20'),
      share('resonance', '*8-20'),
      share('range', '0-15'),
      share('articulation', '*12-30'),
      share('listening', '0-20'),
      share('piece', '*10-40'),
    ],
    shape: 'up',
    keys: [3, 10],
    lowVoices: 'below',
    rise: true,
    habit: 'keep',
  },
  {
    id: 'breath-first',
    phases: [
      share('release', '*10-25'),
      share('breath', '*25-45'),
      share('onset', '*10-25'),
      share('resonance', '*5-20'),
      share('range', '0-15'),
      share('listening', '0-20'),
    ],
    shape: 'up',
    step: 1,
    bySteps: true,
    keys: [3, 5],
    lowVoices: 'below',
    rise: true,
    habit: 'keep',
  },
  {
    id: 'sound-first',
    phases: [
      share('onset', '*25-55'),
      share('resonance', '*15-35'),
      share('release', '0-10'),
      share('range', '0-25'),
      share('agility', '0-20'),
      share('articulation', '0-15'),
    ],
    voices: 'in turn',
    rise: true,
    habit: 'vary',
  },
  {
    id: 'high-and-light',
    phases: [
      share('release', '*8-15'),
      share('breath', '*8-20'),
      share('onset', '*25-52'),
      share('listening', '0-15'),
      share('range', '0-25'),
    ],
    shape: 'down',
    keys: [3, 7],
    lowVoices: 'light',
    rise: false,
    habit: 'keep',
  },
  {
    id: 'low-and-rising',
    phases: [
      share('onset', '*20-45'),
      share('resonance', '0-20'),
      share('range', '*20-40'),
      share('agility', '0-20'),
      share('listening', '0-15'),
    ],
    shape: 'up',
    rise: true,
    habit: 'vary',
  },
  {
    id: 'ears-first',
    phases: [
      share('resonance', '*12-30'),
      share('listening', '*15-35'),
      share('breath', '0-20'),
      share('range', '0-15'),
      share('listening', '0-20'),
    ],
    rise: true,
    habit: 'vary',
  },
  {
    id: 'tongue-and-lips-first',
    phases: [
      share('release', '*20-50'),
      share('articulation', '*12-30'),
      share('agility', '0-30'),
      share('onset', '0-20'),
    ],
    rise: true,
    habit: 'keep',
  },
] as const satisfies readonly Approach[];
/** How an evening ends: light, low in effort, nothing strong. */
export const coolingDown: Approach = {
  id: 'cool-down',
  phases: [
    { ...share('cool-down', '*40-100'), strong: 0 },
    { ...share('release', '0-60'), strong: 0 },
  ],
  rise: true,
  habit: 'keep',
};

/** What an approach keeps when there is hardly any time: its order, and nothing that has to be there. */
export const inShort = (approach: Approach): Approach => ({
  ...approach,
  phases: approach.phases.map((one) => ({ ...one, required: false, least: 0, most: 100 })),
});

export type ApproachId = (typeof approaches)[number]['id'];

/** The phases of a visit, each under an id of its own: a second visit has a figure behind it. */
export function visitsOf({
  phases,
}: Approach): readonly (ApproachPhase & { readonly id: string })[] {
  const times = new Map<Phase, number>();
  return phases.map((one) => {
    const time = (times.get(one.phase) ?? 0) + 1;
    times.set(one.phase, time);
    return { ...one, id: time === 1 ? one.phase : `${one.phase}-${time}` };
  });
}
