import { color } from '../../ui/color';
import type { Sign } from './signs';

/**
 * Draws one sign in a part's hue. Where keys stand closer than a sign is wide, it is drawn narrower
 * (scale below 1), so that neighbours stay apart.
 */
export function SignShape({
  sign,
  hue,
  scale,
}: {
  readonly sign: Sign;
  readonly hue: string;
  readonly scale: number;
}) {
  switch (sign.kind) {
    case 'stem':
      return (
        <rect
          x={sign.x - 1.5 * scale}
          y={sign.top}
          width={3 * scale}
          height={Math.max(2, sign.bottom - sign.top)}
          fill={hue}
        />
      );
    case 'split': {
      const { x, top, bottom, cameFrom } = sign;
      const tick = cameFrom === 'above' ? top : bottom;
      return (
        <g stroke={hue} strokeWidth={1.1}>
          <line x1={x - 1.4 * scale} x2={x - 1.4 * scale} y1={top} y2={bottom} />
          <line x1={x + 1.4 * scale} x2={x + 1.4 * scale} y1={top} y2={bottom} />
          <line x1={x - 3.5 * scale} x2={x + 3.5 * scale} y1={tick} y2={tick} strokeWidth={1.6} />
        </g>
      );
    }
    case 'wedge': {
      const { x, base, tip } = sign;
      return (
        <path
          d={`M${x - 3.5 * scale} ${base} L${x + 3.5 * scale} ${base} L${x} ${tip} Z`}
          fill={color('sheet')}
          stroke={hue}
          strokeWidth={1.3}
        />
      );
    }
    case 'bars':
      return (
        <g stroke={color('brick')} strokeWidth={1.6}>
          <line x1={sign.x - 4} x2={sign.x + 4} y1={sign.y - 2} y2={sign.y - 2} />
          <line x1={sign.x - 4} x2={sign.x + 4} y1={sign.y + 2} y2={sign.y + 2} />
        </g>
      );
    case 'ring':
      return (
        <circle
          cx={sign.x}
          cy={sign.y}
          r={2.9 * scale}
          fill="none"
          stroke={hue}
          strokeWidth={1.5 * scale}
        />
      );
    case 'slant':
      return (
        <polyline
          points={sign.points.map(({ x, y }) => `${x},${y}`).join(' ')}
          fill="none"
          stroke={hue}
          strokeWidth={2.2 * scale}
        />
      );
    case 'held':
      return (
        <rect x={sign.from} y={sign.y - 1.5} width={sign.to - sign.from} height={3} fill={hue} />
      );
    case 'dot':
      return <circle cx={sign.x} cy={sign.y} r={3.6 * scale} fill={hue} />;
    case 'unsure':
      return (
        <line
          x1={sign.x + 3.6 * scale}
          x2={sign.x + 3.6 * scale}
          y1={sign.top}
          y2={sign.bottom}
          stroke={hue}
          strokeWidth={1.2}
          strokeDasharray="1.6 2"
        />
      );
    case 'notch':
      return <rect x={sign.x - 4.5} y={sign.y - 1.5} width={3} height={3} fill={hue} />;
  }
}
