import type { PlanDocument, PlanEdit, SingleEdit } from '@wide-fern/contract';
import { editsBetween } from './between';

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
