import type { Evaluated } from '@wide-fern/plan';
import type { ReactNode } from 'react';
import { axisFrom, stepsBetween, type TimeAxis } from './geometry';

/**
 * Segments, each drawn from its own beginning and inside the one before: where one grows, a single element
 * is moved, and all behind it go along.
 */
export function Chain({
  segments,
  axis,
  children,
}: {
  readonly segments: readonly Evaluated[];
  readonly axis: TimeAxis;
  /** What is drawn of a segment, on an axis that begins with it. */
  readonly children: (evaluated: Evaluated, own: TimeAxis) => ReactNode;
}) {
  const from = segments.map(({ computed }) => computed.placed.from);
  const steps = stepsBetween(axis, from);
  return segments.reduceRight<ReactNode>(
    (behind, evaluated, i) => (
      <g key={evaluated.segment.id} transform={`translate(${steps[i]!} 0)`}>
        {children(evaluated, axisFrom(axis, from[i]!))}
        {behind}
      </g>
    ),
    null,
  );
}
