import { color } from '../../ui/color';
import type { Evaluated } from '@wide-fern/plan';
import type { TimeAxis } from './geometry';

/** Swelling arcs, one a round. */
function breathArcs(from: number, to: number, y: number): string {
  return `M${from} ${y + 4} C${from + (to - from) * 0.15} ${y - 7} ${to - (to - from) * 0.35} ${y - 6} ${to - 1} ${y + 4}`;
}

/** Upright ticks, every fourth taller. */
function spokenTicks(left: number, right: number, y: number, axis: TimeAxis): string {
  const count = Math.max(1, Math.floor((right - left) / 4));
  const first = Math.max(0, Math.floor((axis.left - left) / 4));
  const last = Math.min(count, Math.ceil((axis.right - left) / 4));
  return Array.from({ length: Math.max(0, last - first) }, (_, i) => {
    const tick = first + i;
    return `M${left + 2 + tick * 4} ${y + 4} V${y - (tick % 4 === 0 ? 4 : 1)}`;
  }).join(' ');
}

/** The middle gutter of one segment: talk as dots, and a line for what has no pitch. */
export function GutterLine({
  evaluated: { segment, computed },
  axis,
  y,
}: {
  readonly evaluated: Evaluated;
  readonly axis: TimeAxis;
  readonly y: number;
}) {
  const { from } = computed.placed;
  // Only what is in view is drawn, however long it would be from near.
  const talkFrom = Math.max(axis.left, axis.x(from) + 4);
  const talkTo = Math.min(axis.right, axis.x(from + computed.talk) - 3.5);
  const { kind } = segment.exercise.music;
  return (
    <g stroke={color('inkSoft')} fill="none" strokeWidth={1.3}>
      {talkTo > talkFrom && (
        <line
          data-talk
          x1={talkFrom}
          x2={talkTo}
          y1={y}
          y2={y}
          strokeWidth={2}
          strokeLinecap="round"
          strokeDasharray="0 4.5"
        />
      )}
      {computed.repetitions.map(({ at, seconds }, i) => {
        const left = axis.x(from + at);
        const right = axis.x(from + at + seconds);
        if (right < axis.left || left > axis.right) return null;
        if (kind === 'body') {
          return <line key={i} x1={left + 2} x2={right - 3} y1={y} y2={y} strokeWidth={2} />;
        }
        if (kind === 'breath') return <path key={i} d={breathArcs(left, right, y)} />;
        if (kind !== 'spoken') return null;
        return <path key={i} d={spokenTicks(left, right, y, axis)} />;
      })}
    </g>
  );
}
