import { color } from '../../ui/color';
import type { Evaluated } from '@wide-fern/plan';
import type { TimeAxis } from './geometry';

/** Swelling arcs, one a round. */
function breathArcs(from: number, to: number, y: number): string {
  return `M${from} ${y + 4} C${from + (to - from) * 0.15} ${y - 7} ${to - (to - from) * 0.35} ${y - 6} ${to - 1} ${y + 4}`;
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
  const talkFrom = axis.x(from) + 3;
  const talkTo = axis.x(from + computed.talk);
  const dots = Math.max(0, Math.floor((talkTo - talkFrom) / 4.5));
  const { kind } = segment.exercise.music;
  return (
    <g stroke={color('inkSoft')} fill="none" strokeWidth={1.3}>
      {Array.from({ length: dots }, (_, i) => (
        <circle
          key={i}
          cx={talkFrom + i * 4.5 + 1}
          cy={y}
          r={1}
          fill={color('inkSoft')}
          stroke="none"
        />
      ))}
      {computed.repetitions.map(({ at, seconds }, i) => {
        const left = axis.x(from + at);
        const right = axis.x(from + at + seconds);
        if (kind === 'body') {
          return <line key={i} x1={left + 2} x2={right - 3} y1={y} y2={y} strokeWidth={2} />;
        }
        if (kind === 'breath') return <path key={i} d={breathArcs(left, right, y)} />;
        if (kind !== 'spoken') return null;
        const ticks = Math.max(1, Math.floor((right - left) / 4));
        return Array.from({ length: ticks }, (_, tick) => (
          <line
            key={`${i}-${tick}`}
            x1={left + 2 + tick * 4}
            x2={left + 2 + tick * 4}
            y1={y + 4}
            y2={y - (tick % 4 === 0 ? 4 : 1)}
          />
        ));
      })}
    </g>
  );
}
