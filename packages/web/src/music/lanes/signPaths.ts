import type { Sign } from './signs';

type Kind = Sign['kind'];

/** How the signs of one kind are drawn: filled, or as lines of some width. */
interface Drawn {
  /** In the part's hue, the colour of what is out of reach, or hollow as the page. */
  readonly fill?: 'hue' | 'sheet';
  readonly stroke?: 'hue' | 'brick';
  readonly strokeWidth?: number;
  readonly strokeDasharray?: string;
}

/** All signs of one kind, as one path: some thousand shapes each of its own take a browser far longer. */
export interface SignPath extends Drawn {
  readonly name: string;
  readonly d: string;
}

/** To the hundredth of a pixel. */
const px = (value: number): number => Math.round(100 * value) / 100;

const line = (x1: number, y1: number, x2: number, y2: number): string =>
  `M${px(x1)} ${px(y1)}L${px(x2)} ${px(y2)}`;
const bar = (x: number, y: number, width: number, height: number): string =>
  `M${px(x)} ${px(y)}h${px(width)}v${px(height)}h${px(-width)}Z`;
const circle = (x: number, y: number, r: number): string =>
  `M${px(x - r)} ${px(y)}a${px(r)} ${px(r)} 0 1 0 ${px(2 * r)} 0a${px(r)} ${px(r)} 0 1 0 ${px(-2 * r)} 0Z`;

/** In what a kind of sign is drawn, and its outline; those that consist of two widths have two. */
type Outlines = {
  readonly [K in Kind]: readonly (readonly [
    drawn: (scale: number) => Drawn,
    outline: (sign: Extract<Sign, { kind: K }>, scale: number) => string,
  ])[];
};

const filled = (): Drawn => ({ fill: 'hue' });
const lined =
  (strokeWidth: number, more: Drawn = {}) =>
  (): Drawn => ({ stroke: 'hue', strokeWidth, ...more });
const linedToScale =
  (strokeWidth: number) =>
  (scale: number): Drawn => ({ stroke: 'hue', strokeWidth: strokeWidth * scale });

/** From the hindmost to the foremost. */
const outlines: Outlines = {
  held: [[filled, ({ from, to, y }) => bar(from, y - 1.5, to - from, 3)]],
  stem: [
    [
      filled,
      ({ x, top, bottom }, scale) =>
        bar(x - 1.5 * scale, top, 3 * scale, Math.max(2, bottom - top)),
    ],
  ],
  slant: [
    [
      linedToScale(2.2),
      ({ points }) =>
        points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${px(x)} ${px(y)}`).join(''),
    ],
  ],
  split: [
    [
      lined(1.1),
      ({ x, top, bottom }, scale) =>
        line(x - 1.4 * scale, top, x - 1.4 * scale, bottom) +
        line(x + 1.4 * scale, top, x + 1.4 * scale, bottom),
    ],
    [
      lined(1.6),
      ({ x, top, bottom, cameFrom }, scale) => {
        const tick = cameFrom === 'above' ? top : bottom;
        return line(x - 3.5 * scale, tick, x + 3.5 * scale, tick);
      },
    ],
  ],
  dot: [[filled, ({ x, y }, scale) => circle(x, y, 3.6 * scale)]],
  ring: [[linedToScale(1.5), ({ x, y }, scale) => circle(x, y, 2.9 * scale)]],
  wedge: [
    [
      lined(1.3, { fill: 'sheet' }),
      ({ x, base, tip }, scale) =>
        `M${px(x - 3.5 * scale)} ${px(base)}L${px(x + 3.5 * scale)} ${px(base)}L${px(x)} ${px(tip)}Z`,
    ],
  ],
  bars: [
    [
      lined(1.6, { stroke: 'brick' }),
      ({ x, y }) => line(x - 4, y - 2, x + 4, y - 2) + line(x - 4, y + 2, x + 4, y + 2),
    ],
  ],
  unsure: [
    [
      lined(1.2, { strokeDasharray: '1.6 2' }),
      ({ x, top, bottom }, scale) => line(x + 3.6 * scale, top, x + 3.6 * scale, bottom),
    ],
  ],
  notch: [[filled, ({ x, y }) => bar(x - 4.5, y - 1.5, 3, 3)]],
};

function pathsOfKind<K extends Kind>(kind: K, signs: readonly Sign[], scale: number): SignPath[] {
  const some = signs.filter((sign): sign is Extract<Sign, { kind: K }> => sign.kind === kind);
  if (some.length === 0) return [];
  return outlines[kind].map(([drawn, outline], i) => ({
    name: `${kind}${i > 0 ? ` ${i}` : ''}`,
    d: some.map((sign) => outline(sign, scale)).join(''),
    ...drawn(scale),
  }));
}

/**
 * The signs as few paths, from the hindmost to the foremost.
 * @param scale below 1 where signs stand closer than they are wide, so that neighbours stay apart
 */
export const pathsOf = (signs: readonly Sign[], scale: number): SignPath[] =>
  (Object.keys(outlines) as Kind[]).flatMap((kind) => pathsOfKind(kind, signs, scale));
