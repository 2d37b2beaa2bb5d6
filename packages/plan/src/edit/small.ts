import {
  mostChanges,
  upcastChoices,
  type PlanDocument,
  type PlanEdit,
  type SmallEdit,
} from '@wide-fern/contract';
import { sameValue } from '../document/inOrder';
import { editsBetween } from './between';
import { performAll } from './perform';

const isSmall = (edit: PlanEdit): edit is SmallEdit =>
  edit.kind === 'move' || edit.kind === 'choose';

/** Whether two documents with the same exercises have them in the same order, with the same choices. */
const sameChoices = (one: PlanDocument, other: PlanDocument): boolean =>
  one.segments.length === other.segments.length &&
  one.segments.every(({ id, choices }, place) => {
    const there = other.segments[place]!;
    return id === there.id && sameValue(choices, there.choices);
  });

/**
 * What leads from one document to another where segments only moved or are chosen otherwise: a few hundred
 * bytes for documents of many thousand. Undefined where anything else changed, nothing did, or more did than
 * one save may bring: then the whole document has to be stored.
 */
export function smallEditsBetween(from: PlanDocument, to: PlanDocument): SmallEdit[] | undefined {
  if (from.schema !== to.schema) return undefined;
  const edits = editsBetween(from, to);
  if (!edits || edits.length === 0 || edits.length > mostChanges) return undefined;
  if (!edits.every(isSmall)) return undefined;
  return sameChoices(performAll(from, edits), to) ? edits : undefined;
}

/** A document with the small edits that were stored after it, of any shape that was ever stored. */
export const withStored = (document: PlanDocument, edits: readonly SmallEdit[]): PlanDocument =>
  performAll(
    document,
    edits.map((edit) =>
      edit.kind === 'choose'
        ? { ...edit, choices: upcastChoices(edit.choices) as typeof edit.choices }
        : edit,
    ),
  );
