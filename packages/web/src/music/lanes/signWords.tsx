import { color } from '../../ui/color';
import type { SignWord } from '../../ui/Signs';
import { SignShapes } from './SignShapes';
import type { Sign } from './signs';

const hue = color('ink');
const drawn = (...signs: readonly Sign[]) => <SignShapes {...{ signs, hue }} scale={1} />;
const soft = { stroke: color('inkSoft'), fill: 'none', strokeWidth: 1.3 } as const;

/** A stretch of a part's band, on which the other signs stand. */
const band = (
  <>
    <rect width={30} height={18} fill={hue} fillOpacity={0.085} />
    <path d="M0 0.5 H30 M0 17.5 H30" stroke={hue} strokeOpacity={0.5} />
  </>
);

/** What a part does in a key, by the signs of its lane. */
export const laneSigns: readonly SignWord[] = [
  ['easy tonight', band],
  ['from its lowest to its highest note', drawn({ kind: 'stem', x: 15, top: 3, bottom: 16 })],
  [
    'beyond what is easy',
    drawn({ kind: 'stem', x: 15, top: 9, bottom: 18 }, { kind: 'wedge', x: 15, base: 9, tip: 2 }),
  ],
  [
    'out of reach',
    drawn({ kind: 'stem', x: 15, top: 7, bottom: 18 }, { kind: 'bars', x: 15, y: 5 }),
  ],
  ['rests', drawn({ kind: 'ring', x: 15, y: 10 })],
  [
    'an octave away from usual',
    drawn({ kind: 'split', x: 15, top: 3, bottom: 16, cameFrom: 'above' }),
  ],
  ['holds a note', drawn({ kind: 'held', from: 8, to: 22, y: 10 })],
  [
    'slides',
    drawn({
      kind: 'slant',
      points: [
        { x: 6, y: 14 },
        { x: 15, y: 5 },
        { x: 24, y: 14 },
      ],
    }),
  ],
  [
    'a chord, a note each',
    <g key="chord">
      <line x1={15} x2={15} y1={3} y2={15} stroke={color('inkSoft')} />
      {drawn({ kind: 'dot', x: 15, y: 4 })}
      <circle cx={15} cy={14} r={3.6} fill={hue} />
    </g>,
  ],
  [
    'chosen by hand',
    drawn({ kind: 'stem', x: 15, top: 3, bottom: 16 }, { kind: 'notch', x: 15, y: 9 }),
  ],
  [
    'one evening in five or more, too few are at ease',
    drawn(
      { kind: 'stem', x: 15, top: 3, bottom: 16 },
      { kind: 'unsure', x: 15, top: 1, bottom: 18 },
    ),
  ],
  [
    'talk',
    <g key="talk" fill={color('inkSoft')}>
      {[4, 9, 14, 19, 24].map((x) => (
        <circle key={x} cx={x} cy={10} r={1} />
      ))}
    </g>,
  ],
  ['movement', <path key="body" d="M3 10 H13 M17 10 H27" {...soft} strokeWidth={2} />],
  ['breath', <path key="breath" d="M3 14 C7 3 18 4 27 14" {...soft} />],
  ['spoken', <path key="spoken" d="M5 14 V6 M11 14 V9 M17 14 V9 M23 14 V6" {...soft} />],
];

/** The signs of the key strip. */
export const keySigns: readonly SignWord[] = [
  [
    'room above and below in a key: none, some, much',
    <g key="room" fill={hue}>
      <rect x={1} y={1} width={7} height={16} />
      <rect x={11} y={5} width={7} height={8} />
      <rect x={21} y={8} width={7} height={2} />
    </g>,
  ],
  ['the best start', <circle key="best" cx={15} cy={9} r={3} fill={color('fern')} />],
];
