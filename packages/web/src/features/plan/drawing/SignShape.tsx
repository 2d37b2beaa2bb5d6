import { color } from '../../../ui/color';
import type { Sign } from './signs';

/** Draws one sign in a part's hue. */
export function SignShape({ sign, hue }: { readonly sign: Sign; readonly hue: string }) {
  switch (sign.kind) {
    case 'stem':
      return (
        <rect
          x={sign.x - 1.5}
          y={sign.top}
          width={3}
          height={Math.max(2, sign.bottom - sign.top)}
          fill={hue}
        />
      );
    case 'split': {
      const { x, top, bottom, cameFrom } = sign;
      const tick = cameFrom === 'above' ? top : bottom;
      return (
        <g stroke={hue} strokeWidth={1.1}>
          <line x1={x - 1.4} x2={x - 1.4} y1={top} y2={bottom} />
          <line x1={x + 1.4} x2={x + 1.4} y1={top} y2={bottom} />
          <line x1={x - 3.5} x2={x + 3.5} y1={tick} y2={tick} strokeWidth={1.6} />
        </g>
      );
    }
    case 'wedge': {
      const { x, base, tip } = sign;
      return (
        <path
          d={`M${x - 3.5} ${base} L${x + 3.5} ${base} L${x} ${tip} Z`}
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
        <circle cx={sign.x} cy={sign.y} r={2.9} fill="none" stroke={hue} strokeWidth={1.5} />
      );
    case 'slant':
      return (
        <polyline
          points={sign.points.map(({ x, y }) => `${x},${y}`).join(' ')}
          fill="none"
          stroke={hue}
          strokeWidth={2.2}
        />
      );
    case 'held':
      return (
        <rect x={sign.from} y={sign.y - 1.5} width={sign.to - sign.from} height={3} fill={hue} />
      );
    case 'dot':
      return <circle cx={sign.x} cy={sign.y} r={3.6} fill={hue} />;
    case 'notch':
      return <rect x={sign.x - 4.5} y={sign.y - 1.5} width={3} height={3} fill={hue} />;
  }
}
