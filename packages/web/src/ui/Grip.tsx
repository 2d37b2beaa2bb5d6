import { color } from './color';

/** What can be dragged: a small rounded piece with two strokes. */
export function Grip({
  x,
  y,
  lying = false,
}: {
  readonly x: number;
  readonly y: number;
  /** Wider than high, for a level. */
  readonly lying?: boolean;
}) {
  const [width, height] = lying ? [18, 10] : [10, 18];
  const strokes = [-2, 2];
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect
        x={-width / 2}
        y={-height / 2}
        width={width}
        height={height}
        rx={3}
        fill={color('sheet')}
        stroke={color('fern')}
        strokeWidth={1.5}
      />
      {strokes.map((at) =>
        lying ? (
          <line key={at} x1={-4} x2={4} y1={at} y2={at} stroke={color('fern')} />
        ) : (
          <line key={at} x1={at} x2={at} y1={-4} y2={4} stroke={color('fern')} />
        ),
      )}
    </g>
  );
}
