import { color } from '../../ui/color';
import type { SignWord } from '../../ui/Signs';

const hue = color('ink');
const band = <rect x={7} y={3} width={16} height={12} fill={hue} fillOpacity={0.12} />;

/** What stems over a band mean: what a piece asks of a part. */
export const askedSigns: readonly SignWord[] = [
  [
    'what a piece asks of a part, over what is easy tonight',
    <g key="asked">
      {band}
      <line x1={15} x2={15} y1={5} y2={13} stroke={hue} strokeWidth={3} />
    </g>,
  ],
  [
    'it goes beyond what is easy',
    <g key="beyond">
      <rect x={7} y={8} width={16} height={9} fill={hue} fillOpacity={0.12} />
      <line x1={15} x2={15} y1={8} y2={17} stroke={hue} strokeWidth={3} />
      <path d="M11 8 L19 8 L15 1 Z" fill={color('sheet')} stroke={hue} />
    </g>,
  ],
];

/** The signs of a piece's page. */
export const pieceSigns: readonly SignWord[] = [
  [
    'how long a part sings each note',
    <g key="long" fill={hue}>
      <rect x={4} y={3} width={10} height={3} />
      <rect x={4} y={8} width={22} height={3} />
      <rect x={4} y={13} width={6} height={3} />
    </g>,
  ],
  [
    'a note beyond what is easy tonight',
    <rect key="open" x={4} y={6} width={18} height={5} fill={color('sheet')} stroke={hue} />,
  ],
  [
    'the harder a bar, the taller',
    <g key="hard" fill={hue}>
      <rect x={4} y={12} width={5} height={5} />
      <rect x={12} y={3} width={5} height={14} />
      <rect x={20} y={9} width={5} height={8} />
    </g>,
  ],
  [
    'a bar that goes above, or below, what is easy',
    <g key="beyond" fill={color('sheet')} stroke={hue} strokeWidth={1.2}>
      <path d="M4 12 L12 12 L8 5 Z" />
      <path d="M18 5 L26 5 L22 12 Z" />
    </g>,
  ],
  ['your own mark', <path key="mark" d="M10 5 L20 5 L15 13 Z" fill={hue} />],
];

/** The signs of the list of exercises. */
export const exerciseSigns: readonly SignWord[] = [
  [
    'its notes, from low to high',
    <path
      key="notes"
      d="M2 14 H6 M7 10 H11 M12 6 H16 M17 10 H21 M22 14 H28"
      stroke={hue}
      strokeWidth={2}
    />,
  ],
  [
    'each key that suits every part tonight; the tick is middle C',
    <g key="keys">
      <line x1={1} x2={29} y1={13.5} y2={13.5} stroke={color('line')} />
      <line x1={5} x2={5} y1={13.5} y2={17} stroke={color('inkSoft')} />
      {[9, 12.4, 15.8, 19.2].map((x) => (
        <line key={x} x1={x} x2={x} y1={3} y2={13} stroke={color('fern')} strokeWidth={1.8} />
      ))}
    </g>,
  ],
  [
    'no key suits every part tonight',
    <circle key="none" cx={15} cy={9} r={3} fill="none" stroke={color('inkSoft')} />,
  ],
  [
    'needs what tonight’s place does not allow',
    <path key="not" d="M15 4.5 L19.5 9 L15 13.5 L10.5 9 Z" fill={color('spore')} />,
  ],
  [
    'a favourite',
    <path
      key="favourite"
      d="M15 15 V4 M15 7 L12 5 M15 7 L18 5 M15 10 L12 8 M15 10 L18 8"
      stroke={color('fern')}
      fill="none"
      strokeWidth={1.3}
    />,
  ],
];
