import type { Seconds } from '@wide-fern/core';
import type { EvaluatedPlan } from './evaluate';

/** What two plans are compared by, in figures. */
export interface PlanFigures {
  readonly seconds: Seconds;
  readonly segments: number;
  /** In so many keys a part sings at or beyond the edge of its comfort, or rests; each part counted. */
  readonly edges: number;
  readonly rests: number;
  /** Led at effort 4 or 5. */
  readonly strong: Seconds;
}

export function figuresOf({ segments, total }: EvaluatedPlan): PlanFigures {
  const soundings = segments.flatMap(({ computed: { repetitions, keys } }) =>
    keys.kind === 'none' ? [] : repetitions.flatMap(({ parts }) => parts),
  );
  return {
    seconds: total,
    segments: segments.length,
    edges: soundings.filter((one) => one.does === 'sing' && one.fit.state !== 'comfortable').length,
    rests: soundings.filter(({ does }) => does === 'rest').length,
    strong: segments
      .filter(({ segment }) => segment.exercise.effort >= 4)
      .reduce((sum, { computed: { seconds, talk } }) => sum + seconds - talk, 0),
  };
}
