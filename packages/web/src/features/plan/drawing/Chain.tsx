import type { Evaluated } from '@wide-fern/plan';
import type { ReactNode } from 'react';
import { axisFrom, stepsBetween, type TimeAxis } from '../../../music/lanes/geometry';

/**
 * Segments, each drawn from its own beginning and inside the one before: where one grows, a single element
 * is moved, and all behind it go along as they were painted. Where they are drawn the axis begins.
 */
export function Chain({
  segments,
  axis,
  growing,
  children,
}: {
  readonly segments: readonly Evaluated[];
  readonly axis: TimeAxis;
  /** The segment whose end is pulled, where one is: what lies behind it is kept ready to be moved. */
  readonly growing?: string | undefined;
  /** What is drawn of a segment, on an axis that begins with it and ends where it is out of view. */
  readonly children: (evaluated: Evaluated, own: TimeAxis) => ReactNode;
}) {
  const from = segments.map(({ computed }) => computed.placed.from);
  const steps = stepsBetween(axis, from);
  const moving = segments.findIndex(({ segment }) => segment.id === growing) + 1;
  return segments.reduceRight<ReactNode>(
    (behind, evaluated, i) => (
      <div
        key={evaluated.segment.id}
        style={{
          ...{ position: 'absolute', top: 0, left: 0, transform: `translateX(${steps[i]!}px)` },
          willChange: moving > 0 && i === moving ? 'transform' : undefined,
        }}
      >
        {children(evaluated, asFarAsSeen(axisFrom(axis, from[i]!), evaluated))}
        {behind}
      </div>
    ),
    null,
  );
}

/** An axis as far as a segment goes on it: the same wherever that stands, where all of it is in view. */
const asFarAsSeen = (own: TimeAxis, { computed: { placed } }: Evaluated): TimeAxis => ({
  ...own,
  left: Math.max(own.left, own.x(placed.from)),
  right: Math.min(own.right, own.x(placed.to)),
});
