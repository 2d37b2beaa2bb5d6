/** The steps of a new choir, in the order in which each gives something to the next. */
export const firstStepNames = ['evening', 'singers', 'music', 'plan'] as const;
export type FirstStep = (typeof firstStepNames)[number];

/** How far a choir has come. */
export interface Begun {
  readonly evenings: number;
  readonly singers: number;
  readonly pieces: number;
  /** Whether any warm-up has a segment. */
  readonly isPlanned: boolean;
}

export interface StepState {
  readonly step: FirstStep;
  readonly state: 'done' | 'skipped' | 'open';
}

/**
 * What a new choir has done of its first steps; nothing once all are done or skipped, so that nobody
 * is told what to do for ever.
 */
export function firstSteps(begun: Begun, skipped: ReadonlySet<FirstStep>): readonly StepState[] {
  const isDone: Readonly<Record<FirstStep, boolean>> = {
    evening: begun.evenings > 0,
    singers: begun.singers > 0,
    music: begun.pieces > 0,
    plan: begun.isPlanned,
  };
  const steps = firstStepNames.map((step): StepState => ({
    step,
    state: isDone[step] ? 'done' : skipped.has(step) ? 'skipped' : 'open',
  }));
  return steps.some(({ state }) => state === 'open') ? steps : [];
}
