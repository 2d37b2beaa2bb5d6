import { color } from '../../ui/color';

/** The ladder above the columns, as a line in the order sung. */
export function LadderLine({
  width,
  line,
}: {
  readonly width: number;
  /** The middles of the columns, in the order sung. */
  readonly line: readonly number[];
}) {
  return (
    <svg width={width} height={18} aria-hidden="true" style={{ display: 'block' }}>
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
      </g>
    </svg>
  );
}

/** A small arrow head at the ladder's last key, pointing the way it moved. */
function arrowAt(x: number, before: number): string {
  const way = x >= before ? 1 : -1;
  return `M${x - 4 * way} 4 L${x + 2 * way} 9 L${x - 4 * way} 14`;
}
