import {
  mostSegments,
  type Choices,
  type Exercise,
  type PlanDocument,
  type PlanEdit,
  type Segment,
  type SingleEdit,
} from '@wide-fern/contract';
import { hasKeys, placesBetween, turnOf } from '@wide-fern/core';
import { segmentOf } from '../document/document';
import { computed } from '../remembered';
import { beforePlace, choicesAtFirst, choose, isFull, moveTo } from './edits';
import { perform } from './perform';

const placeOf = ({ segments }: PlanDocument, id: string): number =>
  segments.findIndex((one) => one.id === id);

/** Another exercise in the place of a segment, with its first choices; undefined where that is not there. */
export function insteadOf(
  document: PlanDocument,
  id: string,
  exercise: Exercise,
  newId: string,
  isNew = false,
): PlanEdit | undefined {
  const place = placeOf(document, id);
  if (place < 0) return undefined;
  const segment: Segment = { id: newId, exercise, choices: choicesAtFirst(exercise, isNew) };
  return {
    kind: 'together',
    as: 'instead',
    edits: [
      { kind: 'take-out', id },
      { kind: 'add', segment, after: beforePlace(document.segments, place) },
    ],
  };
}

/** The same segment once more, right behind it; undefined where the plan is full or it is not there. */
export function onceMore(document: PlanDocument, id: string, newId: string): PlanEdit | undefined {
  const segment = segmentOf(document, id);
  if (!segment || isFull(document)) return undefined;
  return { kind: 'add', segment: { ...segment, id: newId }, after: id };
}

/** What is told of the keys from one place to another, counted anew from there. */
function toldBetween(told: NonNullable<Choices['told']>, from: number, to: number) {
  const parts = Object.entries(told).map(([part, moves]) => {
    return [part, placesBetween(moves, from, to)] as const;
  });
  return Object.fromEntries(parts.filter(([, moves]) => Object.keys(moves).length > 0));
}

/**
 * Whether a segment can be made two that together do what it did: there is more than one key, round or
 * time, keys go one way by semitones, and rounds do not grow.
 */
export function canBeSplit({ exercise: { music }, choices }: Segment): boolean {
  const { repetitions, shape, bySteps, tempoStep = 0 } = choices;
  if (repetitions < 2 || tempoStep !== 0) return false;
  if (music.kind === 'breath') return Object.values(music.increment).every((by) => by === 0);
  return !hasKeys(music) || ((shape === 'up' || shape === 'down') && !bySteps);
}

/**
 * Makes a segment two, the second behind the first: it goes on in the key where the first one ends, without
 * being explained again. Undefined where it cannot be split, or the plan is full.
 * @param first how many keys, rounds or times the first one keeps; half of them where it is not said
 */
export function split(
  document: PlanDocument,
  id: string,
  newId: string,
  first?: number,
): PlanEdit | undefined {
  const segment = segmentOf(document, id);
  if (!segment || !canBeSplit(segment) || isFull(document)) return undefined;
  return splitAfter(document, segment, newId, first ?? Math.ceil(segment.choices.repetitions / 2));
}

/** An exercise whose turns from key to key begin with the one that is next after so many keys. */
function turnedBy(exercise: Exercise, keys: number): Exercise {
  const { passes } = exercise;
  const from = passes?.over === 'keys' ? turnOf(passes, keys, 0) : 0;
  if (!passes || from === 0) return exercise;
  const each = [...passes.each.slice(from), ...passes.each.slice(0, from)];
  return { ...exercise, passes: { ...passes, each } };
}

function splitAfter(
  document: PlanDocument,
  segment: Segment,
  newId: string,
  first: number,
): PlanEdit | undefined {
  const { id, exercise } = segment;
  const { repetitions, told, inKeys } = segment.choices;
  if (first < 1 || first >= repetitions) return undefined;
  const { keys } = computed(segment, document.tonight);
  const tonics = keys.kind === 'none' ? undefined : keys.sung?.tonics;
  if (hasKeys(segment.exercise.music) && !tonics) return undefined;
  const startsAt = (place: number): Pick<Choices, 'start'> =>
    tonics ? { start: tonics[place]! } : { start: null };
  const { after: _, ...before } = segment.choices;
  const half = (from: number, to: number): Choices => ({
    ...before,
    ...startsAt(from),
    repetitions: to - from,
    ...(told ? { told: toldBetween(told, from, to) } : {}),
    ...(inKeys ? { inKeys: placesBetween(inKeys, from, to) } : {}),
  });
  const edits: SingleEdit[] = [
    {
      kind: 'choose',
      id,
      choices: half(0, first),
      ...(segment.choices.after === undefined ? {} : { without: ['after'] }),
    },
    {
      kind: 'add',
      segment: {
        id: newId,
        exercise: turnedBy(exercise, first),
        choices: {
          ...half(first, repetitions),
          talk: 0,
          demonstrate: 'no',
          ...(segment.choices.after === undefined ? {} : { after: segment.choices.after }),
        },
      },
      after: id,
    },
  ];
  return { kind: 'together', as: 'split', edits };
}

/** Edits one after the other, each made for the document that those before it leave. */
function inRow(
  document: PlanDocument,
  ids: readonly string[],
  make: (now: PlanDocument, id: string) => SingleEdit | undefined,
): PlanEdit | undefined {
  let now = document;
  const edits: SingleEdit[] = [];
  for (const id of ids) {
    const edit = make(now, id);
    const performed = edit && perform(now, edit);
    if (!edit || !performed) continue;
    now = performed.document;
    edits.push(edit);
  }
  return edits.length === 0 ? undefined : { kind: 'together', edits };
}

const inOrder = ({ segments }: PlanDocument, ids: ReadonlySet<string>): string[] =>
  segments.flatMap(({ id }) => (ids.has(id) ? [id] : []));

/** Moves several one place earlier (−1) or later (1), as they stand to each other; none beyond the ends. */
export function moveSeveral(
  document: PlanDocument,
  ids: ReadonlySet<string>,
  by: -1 | 1,
): PlanEdit | undefined {
  const chosen = inOrder(document, ids);
  const all = document.segments.map(({ id }) => id);
  // Those that stand at the end already stay: the others would overtake them.
  const fixed = new Set<string>();
  for (const id of by < 0 ? all : [...all].reverse()) {
    if (!ids.has(id)) break;
    fixed.add(id);
  }
  const going = chosen.filter((id) => !fixed.has(id));
  return inRow(document, by < 0 ? going : going.reverse(), (now, id) => {
    const edit = moveTo(now, id, placeOf(now, id) + by);
    return edit.kind === 'move' ? edit : undefined;
  });
}

export const takeOutSeveral = (
  document: PlanDocument,
  ids: ReadonlySet<string>,
): PlanEdit | undefined =>
  inRow(document, inOrder(document, ids), (_, id) => ({ kind: 'take-out', id }));

/** Several stay as they are whatever is built around them, or may be changed again. */
export const pinSeveral = (
  document: PlanDocument,
  ids: ReadonlySet<string>,
  pinned: boolean,
): PlanEdit | undefined =>
  inRow(document, inOrder(document, ids), (_, id) => {
    const edit = choose(id, { pinned: pinned ? true : undefined });
    return edit.kind === 'choose' ? edit : undefined;
  });

/**
 * Segments of another plan at the end of this one, as they are there, without those that are here under their new id
 * already; undefined where not all find room.
 */
export function bringIn(
  document: PlanDocument,
  segments: readonly Segment[],
  newId: (segment: Segment) => string,
): PlanEdit | undefined {
  const here = new Set(document.segments.map(({ id }) => id));
  const arriving = segments
    .map((one) => ({ ...one, id: newId(one) }))
    .filter(({ id }) => !here.has(id));
  if (segments.length === 0 || here.size + arriving.length > mostSegments) return undefined;
  let after = document.segments.at(-1)?.id ?? null;
  const edits = arriving.map((segment): SingleEdit => {
    const edit: SingleEdit = { kind: 'add', segment, after };
    after = segment.id;
    return edit;
  });
  return { kind: 'together', edits };
}
