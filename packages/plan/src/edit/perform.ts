import type {
  Choices,
  OptionalChoice,
  PlanDocument,
  PlanEdit,
  Segment,
  SingleEdit,
} from '@wide-fern/contract';
import { segmentOf } from '../document/document';
import { beforePlace, isFull } from './edits';

/** A document after an edit, and the edit that undoes it. */
export interface Performed {
  readonly document: PlanDocument;
  readonly inverse: PlanEdit;
}

/** After an edit of one thing: what undoes it is of one thing too. */
interface PerformedSingle extends Performed {
  readonly inverse: SingleEdit;
}

/** The segments with one more, behind the one named; at the end when that is not there. */
function inserted(segments: readonly Segment[], segment: Segment, after: string | null): Segment[] {
  const found = segments.findIndex(({ id }) => id === after);
  const place = after === null ? 0 : found < 0 ? segments.length : found + 1;
  return [...segments.slice(0, place), segment, ...segments.slice(place)];
}

const placeOf = ({ segments }: PlanDocument, id: string): number =>
  segments.findIndex((segment) => segment.id === id);

const withSegments = (document: PlanDocument, segments: Segment[]): PlanDocument => ({
  ...document,
  segments,
});

const replaced = (document: PlanDocument, segment: Segment): PlanDocument =>
  withSegments(
    document,
    document.segments.map((one) => (one.id === segment.id ? segment : one)),
  );

type ChosenPart = { readonly [K in keyof Choices]?: Choices[K] | undefined };
type Of<K extends PlanEdit['kind']> = Extract<PlanEdit, { kind: K }>;

function add(document: PlanDocument, { segment, after }: Of<'add'>): PerformedSingle | undefined {
  if (isFull(document) || segmentOf(document, segment.id)) return undefined;
  return {
    document: withSegments(document, inserted(document.segments, segment, after)),
    inverse: { kind: 'take-out', id: segment.id },
  };
}

function takeOut(document: PlanDocument, { id }: Of<'take-out'>): PerformedSingle | undefined {
  const segment = segmentOf(document, id);
  if (!segment) return undefined;
  return {
    document: withSegments(
      document,
      document.segments.filter((one) => one !== segment),
    ),
    inverse: { kind: 'add', segment, after: beforePlace(document.segments, placeOf(document, id)) },
  };
}

function move(document: PlanDocument, { id, after }: Of<'move'>): PerformedSingle | undefined {
  const segment = segmentOf(document, id);
  const was = beforePlace(document.segments, placeOf(document, id));
  if (!segment || after === was || after === id) return undefined;
  const others = document.segments.filter((one) => one !== segment);
  return {
    document: withSegments(document, inserted(others, segment, after)),
    inverse: { kind: 'move', id, after: was },
  };
}

function choose(
  document: PlanDocument,
  { id, choices, without = [] }: Of<'choose'>,
): PerformedSingle | undefined {
  const segment = segmentOf(document, id);
  if (!segment) return undefined;
  const { choices: was } = segment;
  const changed = (Object.keys(choices) as (keyof Choices)[]).filter(
    (name) => choices[name] !== undefined && choices[name] !== was[name],
  );
  const gone = without.filter((name) => was[name] !== undefined);
  if (changed.length + gone.length === 0) return undefined;
  const pick = (from: ChosenPart, names: readonly (keyof Choices)[]): Partial<Choices> =>
    Object.fromEntries(names.map((name) => [name, from[name]]));
  const now = { ...was, ...pick(choices, changed) };
  for (const name of gone) delete now[name];
  // What had not been chosen before is not chosen again afterwards.
  const isNew = (name: keyof Choices): name is OptionalChoice => was[name] === undefined;
  const added = changed.filter(isNew);
  const had = [...changed.filter((name) => !isNew(name)), ...gone];
  return {
    document: replaced(document, { ...segment, choices: now }),
    inverse: {
      ...{ kind: 'choose', id, choices: pick(was, had) },
      ...(added.length > 0 ? { without: added } : {}),
    },
  };
}

function takeTonight(document: PlanDocument, edit: Of<'tonight'>): Performed {
  const { tonight, starts } = edit;
  const had: Record<string, number | null> = {};
  const segments = document.segments.map((segment) => {
    const start = starts[segment.id];
    if (start === undefined || start === segment.choices.start) return segment;
    had[segment.id] = segment.choices.start;
    return { ...segment, choices: { ...segment.choices, start } };
  });
  return {
    document: { ...document, tonight, segments },
    inverse: { kind: 'tonight', tonight: document.tonight, starts: had },
  };
}

/** One edit after the other; undone from the last to the first. What cannot be done is left. */
function together(document: PlanDocument, { edits }: Of<'together'>): Performed | undefined {
  let now = document;
  const inverses: SingleEdit[] = [];
  for (const edit of edits) {
    const performed = performSingle(now, edit);
    if (!performed) continue;
    now = performed.document;
    inverses.unshift(performed.inverse);
  }
  if (inverses.length === 0) return undefined;
  return { document: now, inverse: { kind: 'together', edits: inverses } };
}

function performSingle(document: PlanDocument, edit: SingleEdit): PerformedSingle | undefined {
  switch (edit.kind) {
    case 'add':
      return add(document, edit);
    case 'take-out':
      return takeOut(document, edit);
    case 'move':
      return move(document, edit);
    case 'choose':
      return choose(document, edit);
  }
}

/**
 * Does an edit: the new document and the edit that undoes it. Undefined when there is nothing to
 * change, or nothing that could be: a segment that is not there, a plan that is full.
 */
export function perform(document: PlanDocument, edit: PlanEdit): Performed | undefined {
  switch (edit.kind) {
    case 'together':
      return together(document, edit);
    case 'tonight':
      return takeTonight(document, edit);
    case 'replace':
      return edit.document === document
        ? undefined
        : { document: edit.document, inverse: { kind: 'replace', document } };
    default:
      return performSingle(document, edit);
  }
}

/** A document after some edits, one after the other. */
export const performAll = (document: PlanDocument, edits: readonly PlanEdit[]): PlanDocument =>
  edits.reduce((now, edit) => perform(now, edit)?.document ?? now, document);
