import type { Choices, PlanDocument, Segment } from '@wide-fern/contract';
import { inOrder } from './document/inOrder';
import { moved } from './order';

/** What one version has where the other differs: a choice, or what a segment follows. */
export type DifferenceFact =
  | { readonly code: 'choice'; readonly field: keyof Choices; readonly segment: Segment }
  /** The name of the exercise before it; null when it is the first. */
  | { readonly code: 'follows'; readonly name: string | null };

/** How one segment stands in two versions of a plan. */
export interface Difference {
  readonly id: string;
  readonly name: string;
  readonly kind: 'same' | 'changed' | 'only mine' | 'only theirs';
  /** What is different, for mine and for theirs. */
  readonly mine: readonly DifferenceFact[];
  readonly theirs: readonly DifferenceFact[];
}

/** Every choice there is, in the order in which they are told. */
const choiceNames = Object.keys({
  tempo: true,
  repetitions: true,
  verses: true,
  talk: true,
  coach: true,
  after: true,
  reset: true,
  demonstrate: true,
  countInEach: true,
  tempoStep: true,
  step: true,
  bySteps: true,
  shape: true,
  start: true,
  told: true,
  inKeys: true,
  inTimes: true,
  linesInTurn: true,
  voices: true,
  lowVoices: true,
  tooHigh: true,
  purposeSaid: true,
  untilRight: true,
  pinned: true,
} satisfies Record<keyof Choices, true>) as (keyof Choices)[];

/** A choice to be compared: what was never chosen is the same as what was taken back. */
const said = (choice: Choices[keyof Choices]): string => JSON.stringify(inOrder(choice || null));

const choicesOf = (segment: Segment, { choices: other }: Segment): DifferenceFact[] =>
  choiceNames
    .filter((name) => said(segment.choices[name]) !== said(other[name]))
    .map((field) => ({ code: 'choice', field, segment }));

const followed = (segments: readonly Segment[], id: string): DifferenceFact => {
  const before = segments[segments.findIndex((one) => one.id === id) - 1];
  return { code: 'follows', name: before?.exercise.name ?? null };
};

/** Lays two versions of a plan beside each other: mine in its order, then what only theirs has. */
export function compare(mine: PlanDocument, theirs: PlanDocument): Difference[] {
  const inMine = new Map(mine.segments.map((segment) => [segment.id, segment]));
  const inTheirs = new Map(theirs.segments.map((segment) => [segment.id, segment]));
  const shared = (segments: readonly Segment[], other: Map<string, Segment>) =>
    segments.filter(({ id }) => other.has(id));
  const mineShared = shared(mine.segments, inTheirs);
  const theirsShared = shared(theirs.segments, inMine);
  const displaced = moved(
    mineShared.map(({ id }) => id),
    theirsShared.map(({ id }) => id),
  );
  const fromMine = mine.segments.map((segment): Difference => {
    const { id, exercise } = segment;
    const other = inTheirs.get(id);
    if (!other) return { id, name: exercise.name, kind: 'only mine', mine: [], theirs: [] };
    const place = (segments: readonly Segment[]) =>
      displaced.has(id) ? [followed(segments, id)] : [];
    const here = [...place(mineShared), ...choicesOf(segment, other)];
    const there = [...place(theirsShared), ...choicesOf(other, segment)];
    const kind = here.length > 0 ? 'changed' : 'same';
    return { id, name: exercise.name, kind, mine: here, theirs: there };
  });
  const onlyTheirs = theirs.segments
    .filter(({ id }) => !inMine.has(id))
    .map(({ id, exercise }): Difference => {
      return { id, name: exercise.name, kind: 'only theirs', mine: [], theirs: [] };
    });
  return [...fromMine, ...onlyTheirs];
}
