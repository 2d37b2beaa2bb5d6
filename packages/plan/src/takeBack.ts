import type { PlanDocument, PlanEdit, SingleEdit } from '@wide-fern/contract';
import type { Seconds } from '@wide-fern/core';
import { editsBetween } from './edit/between';
import type { EvaluatedPlan } from './evaluate';

/** The whole plan as it was then, on the sections it rests on now. */
export const takeBackWhole = (now: PlanDocument, then: PlanDocument): PlanEdit => ({
  kind: 'replace',
  document: { ...then, tonight: now.tonight },
});

const isOf = (edit: PlanEdit, id: string): edit is SingleEdit => {
  if (edit.kind === 'add') return edit.segment.id === id;
  return edit.kind !== 'together' && 'id' in edit && edit.id === id;
};

/**
 * One segment as it was then: brought back to where it stood, left out, moved or chosen as it was. Undefined
 * where nothing of it is different, or where it was another exercise.
 */
export function takeBackPart(
  now: PlanDocument,
  then: PlanDocument,
  id: string,
): PlanEdit | undefined {
  const edits = (editsBetween(now, then) ?? []).filter((edit): edit is SingleEdit =>
    isOf(edit, id),
  );
  return edits.length === 0 ? undefined : { kind: 'together', edits };
}

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
