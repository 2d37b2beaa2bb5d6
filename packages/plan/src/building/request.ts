import type {
  BuildWish,
  Exercise,
  LedOnce,
  OwnApproach,
  PlanDocument,
  Segment,
} from '@wide-fern/contract';
import {
  approaches,
  coolingDown,
  inShort,
  needsOf,
  type Approach,
  type MidiNote,
  type PhaseWish,
  type Phase,
  type PlaceNeed,
  type PlannerNeed,
  type Purpose,
  type Seconds,
  type Strained,
  type Tonight,
} from '@wide-fern/core';
import { givenUpBy } from '../givenUp';

/** Nothing asked for beside what is known. */
export const nothingAsked: BuildWish = {
  approach: null,
  level: null,
  seconds: null,
  wishes: {},
  included: [],
  excluded: [],
  limits: {},
  quiet: false,
  top: null,
};

/** A warm-up that is to be built, as plain data: it is sent to whatever builds it. */
export interface BuildRequest {
  readonly tonight: Tonight;
  readonly needs: Readonly<Record<string, PlannerNeed>>;
  readonly seconds: Seconds;
  readonly approach: Approach;
  readonly level: number;
  readonly ledAgo: Readonly<Record<string, number>>;
  readonly givenUp?: Readonly<Record<string, readonly Strained[]>>;
  readonly forbids: readonly PlaceNeed[];
  readonly wishes: Readonly<Partial<Record<Purpose, number>>>;
  readonly included: readonly string[];
  readonly excluded: readonly string[];
  readonly limits: Readonly<Partial<Record<Phase, PhaseWish>>>;
  readonly quiet: boolean;
  /** The plan as it is; its pinned segments stay. */
  readonly present: readonly Segment[];
  /** The choir's own exercises, beside the built-in ones. */
  readonly own: readonly Exercise[];
  readonly alternatives: number;
}

/** What every warm-up should have some of, however little is wished for: a point or two each. */
const alwaysWished: readonly Purpose[] = [
  'low breath',
  'gentle onset',
  'open space',
  'vowel unity',
  'legato',
  'tuning',
];
const leastWeight = 1;

/** How much each skill is wished for: a little of everything, what judgements ask for, and what a person says. */
export function wishesOf(
  targets: readonly { readonly skill: Purpose; readonly weight: number }[],
  said: BuildWish['wishes'],
): Partial<Record<Purpose, number>> {
  const wishes: Partial<Record<Purpose, number>> = {};
  for (const skill of alwaysWished) wishes[skill] = leastWeight;
  for (const { skill, weight } of targets) wishes[skill] = Math.max(wishes[skill] ?? 0, weight);
  for (const [skill, weight] of Object.entries(said) as [Purpose, number][]) {
    if (weight === 0) delete wishes[skill];
    else wishes[skill] = weight;
  }
  return wishes;
}

/**
 * How many evenings ago each exercise was led: 1 the last time.
 * @param lastUsed when each was last led
 * @param evenings when there were or will be evenings
 * @param at when the evening is that is planned
 */
export function ledAgoOf(
  lastUsed: Readonly<Record<string, string>>,
  evenings: readonly string[],
  at: string,
): Record<string, number> {
  const before = [...new Set(evenings)].filter((one) => one < at).sort();
  return Object.fromEntries(
    Object.entries(lastUsed)
      .filter(([, used]) => used < at)
      .map(([id, used]) => [id, Math.max(1, before.filter((one) => one >= used).length)]),
  );
}

/** How far each part has to be brought: as tonight's music asks, with another top for one part where it is said. */
export function needsAsked(
  tonight: Tonight,
  top: { readonly part: string; readonly note: MidiNote } | null,
): Record<string, PlannerNeed> {
  const needs = needsOf(tonight);
  const section = tonight.sections.find(({ id }) => id === top?.part);
  if (!top || !section) return needs;
  const { part, note } = top;
  const [low, high] = section.comfort;
  const before = needs[part]?.top;
  const steps = before ? before[1] - before[0] : stepsUp;
  const to = Math.min(high, Math.max(low, note));
  return { ...needs, [part]: { ...needs[part], top: [to - steps, to] } };
}
/** So many semitones below the top are to be reached too. */
const stepsUp = 7;

/** An approach by its id, the built-in ones or a choir's own; the first one where it is none of them. */
export function approachOf(id: string, own: readonly OwnApproach[]): Approach {
  return (
    own.find(({ approach }) => approach.id === id)?.approach ??
    approaches.find((one) => one.id === id) ??
    approaches[0]
  );
}

/** What is known when a warm-up is to be built. */
export interface Known {
  /** Whether it is the end of the evening that is planned. */
  readonly isCoolDown?: boolean | undefined;
  readonly choir: {
    readonly approach: string;
    readonly level: number;
    readonly approaches: readonly OwnApproach[];
  };
  readonly document: PlanDocument;
  readonly allotted: Seconds;
  readonly evening: {
    readonly startsAt: string;
    readonly forbids: readonly PlaceNeed[];
    readonly wishes: readonly { readonly skill: Purpose; readonly weight: number }[];
  };
  readonly evenings: readonly string[];
  readonly exercises: {
    readonly own: readonly Exercise[];
    readonly marks: Readonly<
      Record<
        string,
        {
          readonly hidden: boolean;
          readonly favourite?: boolean | undefined;
          readonly learnedFrom?: string | undefined;
        }
      >
    >;
    readonly lastUsed: Readonly<Record<string, string>>;
  };
  /** What was led, the latest first, as far as it is known yet. */
  readonly led?: readonly Pick<LedOnce, 'exercise' | 'ledAt' | 'strained'>[] | undefined;
}

/** Less time than this has no room for all that an approach asks, in seconds. */
const shortBelow = 240;

/** How it is made: as is said, else as the choir usually does; in little time only in that order. */
function approachAsked({ choir, isCoolDown }: Known, said: BuildWish, seconds: Seconds): Approach {
  const { approaches: own } = choir;
  const approach =
    said.approach === null && isCoolDown
      ? coolingDown
      : approachOf(said.approach ?? choir.approach, own);
  return seconds < shortBelow ? inShort(approach) : approach;
}

/** How many plans are proposed beside the best one. */
const proposedBeside = 2;

/** What is asked, from what is known and what a person said. */
export function requestOf(known: Known, said: BuildWish): BuildRequest {
  const { choir, document, allotted, evening, evenings, exercises } = known;
  const hidden = Object.entries(exercises.marks).flatMap(([id, mark]) => (mark.hidden ? [id] : []));
  const used = exercises.lastUsed;
  const seconds = Math.round(said.seconds ?? allotted);
  return {
    tonight: document.tonight,
    needs: needsAsked(document.tonight, said.top),
    seconds,
    approach: approachAsked(known, said, seconds),
    level: said.level ?? choir.level,
    ledAgo: ledAgoOf(used, evenings, evening.startsAt),
    givenUp: givenUpBy(known.led ?? [], exercises.marks),
    forbids: evening.forbids,
    wishes: wishesOf(evening.wishes, said.wishes),
    included: said.included,
    // Whoever asks for an exercise means it, hidden or not.
    excluded: [...new Set([...hidden, ...said.excluded])].filter(
      (id) => !said.included.includes(id),
    ),
    limits: said.limits,
    quiet: said.quiet,
    present: document.segments,
    own: exercises.own,
    alternatives: proposedBeside,
  };
}
