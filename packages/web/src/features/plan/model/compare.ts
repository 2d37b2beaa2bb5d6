import type { Choices, PlanDocument, Segment } from '@wide-fern/contract';
import { shapeWords } from '@wide-fern/words';
import { tonicName } from '@wide-fern/core';
import { repetitionsInWords } from './words';

/** How one segment stands in two versions of a plan. */
export interface Difference {
  readonly id: string;
  readonly name: string;
  readonly kind: 'same' | 'changed' | 'only mine' | 'only theirs';
  /** What is chosen differently, in words; for mine and for theirs. */
  readonly mine: readonly string[];
  readonly theirs: readonly string[];
}

const chosenInWords: {
  readonly [K in keyof Choices]: (value: Choices[K], segment: Segment) => string;
} = {
  tempo: (value) => `tempo ${value}`,
  repetitions: (_, segment) => repetitionsInWords(segment),
  verses: (value) => `${value} times in each key`,
  talk: (value) => `${value} s of talk`,
  demonstrate: (value) => (value ? 'sung first' : 'not sung first'),
  step: (value) => `by ${value} semitones`,
  shape: (value) => shapeWords[value],
  start: (value) => (value === null ? 'the best start' : `start ${tonicName(value)}`),
};

/** What is chosen for the one segment where the other differs, in words. */
function changesBetween(one: Segment, { choices: other }: Segment): string[] {
  return (Object.keys(chosenInWords) as (keyof Choices)[]).flatMap((name) => {
    const chosen = one.choices[name];
    if (chosen === other[name]) return [];
    const inWords = chosenInWords[name] as (value: typeof chosen, segment: Segment) => string;
    return [inWords(chosen, one)];
  });
}

/** «then Slate steps»: what a segment follows, where the order differs. */
const neighbour = (segments: readonly Segment[], id: string): string => {
  const before = segments[segments.findIndex((one) => one.id === id) - 1];
  return before ? `after ${before.exercise.name}` : 'first';
};

/** The segments whose order among those in both differs: the fewest to move. */
function moved(mine: readonly string[], theirs: readonly string[]): Set<string> {
  // Longest common subsequence; what is not in it was moved.
  const lengths = Array.from({ length: mine.length + 1 }, () =>
    new Array<number>(theirs.length + 1).fill(0),
  );
  for (let i = mine.length - 1; i >= 0; i -= 1) {
    for (let j = theirs.length - 1; j >= 0; j -= 1) {
      lengths[i]![j] =
        mine[i] === theirs[j]
          ? 1 + lengths[i + 1]![j + 1]!
          : Math.max(lengths[i + 1]![j]!, lengths[i]![j + 1]!);
    }
  }
  const kept = new Set<string>();
  for (let i = 0, j = 0; i < mine.length && j < theirs.length;) {
    if (mine[i] === theirs[j]) {
      kept.add(mine[i]!);
      i += 1;
      j += 1;
    } else if (lengths[i + 1]![j]! >= lengths[i]![j + 1]!) i += 1;
    else j += 1;
  }
  return new Set(mine.filter((id) => !kept.has(id)));
}

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
      displaced.has(id) ? [neighbour(segments, id)] : [];
    const here = [...place(mineShared), ...changesBetween(segment, other)];
    const there = [...place(theirsShared), ...changesBetween(other, segment)];
    const kind = here.length > 0 ? 'changed' : 'same';
    return { id, name: exercise.name, kind, mine: here, theirs: there };
  });
  const onlyTheirs = theirs.segments
    .filter(({ id }) => !inMine.has(id))
    .map(({ id, exercise }): Difference => ({
      id,
      name: exercise.name,
      kind: 'only theirs',
      mine: [],
      theirs: [],
    }));
  return [...fromMine, ...onlyTheirs];
}
