import { useRef } from 'react';
import { color } from '../../ui/color';
import { useDrag } from '../../ui/useDrag';

/** How a ladder is pulled: its first key, and the key that tells how long it is. */
export interface LadderPull {
  /** The place of that key in the order sung. */
  readonly far: number;
  /** So many columns from where the hand took hold; `isFirst` says that it took hold just now. */
  readonly onStart: (columns: number, isFirst: boolean) => void;
  readonly onFar: (columns: number, isFirst: boolean) => void;
}

/** The ladder above the columns, as a line in the order sung; its ends can be pulled. */
export function LadderLine({
  width,
  line,
  column,
  pull,
}: {
  readonly width: number;
  /** The middles of the columns, in the order sung. */
  readonly line: readonly number[];
  /** How wide a column is. */
  readonly column: number;
  readonly pull?: LadderPull | undefined;
}) {
  const far = pull && line[pull.far];
  // Beyond the key, on the side it was come from.
  const away = pull && pull.far > 0 && far! < line[pull.far - 1]! ? -1 : 1;
  return (
    <svg
      width={width}
      height={18}
      aria-hidden="true"
      // Its ends stand out a little; what lies beyond the columns that are shown does not.
      style={{ display: 'block', overflow: 'visible', clipPath: 'inset(-6px -16px)' }}
    >
      <g transform="translate(26 0)" stroke={color('fern')} fill={color('fern')}>
        <polyline points={line.map((x) => `${x},9`).join(' ')} strokeWidth={1.6} fill="none" />
        {line.map((x, i) => (
          <circle key={i} cx={x} cy={9} r={2.6} stroke="none" />
        ))}
        {line.length > 0 && (
          <circle cx={line[0]} cy={9} r={5.5} fill={color('sheet')} strokeWidth={1.8} />
        )}
        {line.length > 1 && (
          <path
            d={arrowAt(line[line.length - 1]!, line[line.length - 2]!)}
            strokeWidth={1.6}
            fill="none"
          />
        )}
        {pull && far !== undefined && (
          <>
            <path
              d={`M${far + 9 * away} 3 v12 M${far + 12.5 * away} 3 v12`}
              strokeWidth={1.6}
              fill="none"
            />
            <Hold x={line[0]!} width={24} name="start" step={column} onPull={pull.onStart} />
            <Hold
              x={far + 11 * away}
              width={line.length > 1 ? 18 : 12}
              name="end"
              step={column}
              onPull={pull.onFar}
            />
          </>
        )}
      </g>
    </svg>
  );
}

/** Where a hand takes hold; it tells whole columns, each once. */
function Hold({
  x,
  width,
  name,
  step,
  onPull,
}: {
  readonly x: number;
  readonly width: number;
  readonly name: string;
  readonly step: number;
  readonly onPull: (columns: number, isFirst: boolean) => void;
}) {
  const last = useRef(0);
  const drag = useDrag(({ x: at, began, isFirst }) => {
    const columns = Math.round((at - began.x) / step);
    if (!isFirst && columns === last.current) return;
    last.current = columns;
    onPull(columns, isFirst);
  });
  return (
    <rect
      data-hold={name}
      x={x - width / 2}
      y={-4}
      width={width}
      height={26}
      fill="transparent"
      stroke="none"
      {...drag}
    />
  );
}

/** A small arrow head at the ladder's last key, pointing the way it moved. */
function arrowAt(x: number, before: number): string {
  const way = x >= before ? 1 : -1;
  return `M${x - 4 * way} 4 L${x + 2 * way} 9 L${x - 4 * way} 14`;
}
