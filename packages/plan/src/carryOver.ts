import { computed } from './remembered';
import type { PlanDocument, PlanEdit, Segment } from '@wide-fern/contract';
import {
  type Tonight,
  keyChange,
  type KeyChange,
  type PartNeed,
  type Section,
} from '@wide-fern/core';
/** What a plan's keys rest on has changed since it was made: what, and for which segments that matters. */
export interface SectionsChange {
  readonly tonight: Tonight;
  /** The sections whose band is another one now. */
  readonly sections: readonly { readonly before: Section | undefined; readonly now: Section }[];
  /** Segments whose keys no longer fit, or would be others. */
  readonly segments: readonly { readonly segment: Segment; readonly change: KeyChange }[];
}

const sameRange = (a: readonly [number, number], b: readonly [number, number]): boolean =>
  a[0] === b[0] && a[1] === b[1];
const sameBand = (a: Section | undefined, b: Section): boolean =>
  a !== undefined &&
  a.octave === b.octave &&
  sameRange(a.comfort, b.comfort) &&
  sameRange(a.reach, b.reach);

/** Part by part: the database keeps no order of a document's words. */
const sameNeed = (a: PartNeed, b: PartNeed): boolean =>
  a.part === b.part &&
  a.highest === b.highest &&
  a.highestIn === b.highestIn &&
  a.lowest === b.lowest &&
  a.lowestIn === b.lowestIn;

/** A segment as it would go on with other sections: a start chosen by hand stays where it still fits. */
function carriedOver(segment: Segment, was: Tonight, now: Tonight): [Segment, KeyChange] {
  const change = keyChange(segment, was, now, computed);
  const { keys } = change.now;
  const stuck =
    keys.kind !== 'none' &&
    (!keys.sung || (keys.kind === 'ladder' && keys.sung.beyond !== undefined));
  if (segment.choices.start === null || (!stuck && change.misfits.length === 0)) {
    return [segment, change];
  }
  const free = { ...segment, choices: { ...segment.choices, start: null } };
  return [free, { ...change, now: keyChange(free, was, now, computed).now, differs: true }];
}

/** What has changed between the sections a plan was made for and those of the evening now; undefined when nothing did. */
export function sectionsChange(
  document: PlanDocument,
  tonight: Tonight,
): SectionsChange | undefined {
  const before = document.tonight;
  const sections = tonight.sections.flatMap((now) => {
    const was = before.sections.find(({ id }) => id === now.id);
    return sameBand(was, now) ? [] : [{ before: was, now }];
  });
  const isGone = before.sections.some(({ id }) => tonight.sections.every((band) => band.id !== id));
  const needsDiffer =
    before.needs.length !== tonight.needs.length ||
    !tonight.needs.every((now) => before.needs.some((was) => sameNeed(was, now)));
  if (sections.length === 0 && !isGone && !needsDiffer) return undefined;
  const was = before;
  const now = tonight;
  const segments = document.segments.flatMap((segment) => {
    const [, change] = carriedOver(segment, was, now);
    return change.differs || change.misfits.length > 0 ? [{ segment, change }] : [];
  });
  return { tonight, sections, segments };
}

/**
 * The edit that takes the evening's sections as they are now; every ladder follows, and a start
 * chosen by hand goes only where it does not fit any more.
 */
export function takeTonight(document: PlanDocument, tonight: Tonight): PlanEdit {
  const starts: Record<string, number | null> = {};
  for (const segment of document.segments) {
    const [now] = carriedOver(segment, document.tonight, tonight);
    if (now.choices.start !== segment.choices.start) starts[segment.id] = now.choices.start;
  }
  return { kind: 'tonight', tonight, starts };
}
