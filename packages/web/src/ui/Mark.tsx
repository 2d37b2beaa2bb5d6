import { color } from './color';

const leaflets = [
  [4.5, 19.5, 3.2, 20],
  [12.5, 21.5, 3.6, -28],
  [5.5, 14, 4, 20],
  [15.5, 16, 4.2, -28],
  [9, 8.8, 3.4, 20],
  [18, 10.6, 3.2, -28],
  [13, 4.4, 2.2, 20],
] as const;

/** The fern's frond: a stem that rises by steps, leaflets that widen towards the middle. */
export function Mark({ height = 26 }: { readonly height?: number }) {
  return (
    <svg viewBox="0 0 24 28" height={height} aria-hidden="true">
      <path
        d="M5 26 L8 21 L10 16 L13 11 L16 6 L19 2"
        fill="none"
        stroke={color('fern')}
        strokeWidth={1.6}
        strokeLinecap="round"
      />
      {leaflets.map(([x, y, width, turn]) => (
        <ellipse
          key={`${x}-${y}`}
          cx={x}
          cy={y}
          rx={width}
          ry={1.3}
          fill={color('fern')}
          transform={`rotate(${turn} ${x} ${y})`}
        />
      ))}
    </svg>
  );
}
