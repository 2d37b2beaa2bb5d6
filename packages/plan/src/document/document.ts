import { planSchemaVersion, type PlanDocument, type Segment } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';

/** A plan with nothing in it yet. */
export const emptyDocument = (tonight: Tonight): PlanDocument => ({
  schema: planSchemaVersion,
  tonight,
  segments: [],
});

/** The segment of a plan by its id. */
export const segmentOf = (document: PlanDocument, id: string): Segment | undefined =>
  document.segments.find((segment) => segment.id === id);

/**
 * Whether two documents that began as one hold the same, told without reading every note: segments
 * keep their exercise as the very same object through every edit.
 */
export const sameSegments = (one: PlanDocument, other: PlanDocument): boolean =>
  one.tonight === other.tonight &&
  one.segments.length === other.segments.length &&
  one.segments.every((segment, place) => {
    const there = other.segments[place]!;
    // What only one of them has chosen is a difference too.
    const all = { ...segment.choices, ...there.choices };
    const names = Object.keys(all) as (keyof typeof all)[];
    return (
      segment.id === there.id &&
      segment.exercise === there.exercise &&
      names.every((name) => segment.choices[name] === there.choices[name])
    );
  });
