import {
  type Section,
  noteInKey,
  tonicName,
  type Fit,
  type KeyColumn,
  type Move,
} from '@wide-fern/core';
import { countInWords, semitonesInWords, type Wording } from '@wide-fern/words';
import { color } from '../../ui/color';

/** The measures of a key strip's cell, in pixels. */
export const cell = { width: 30, height: 24, gap: 1 } as const;
/** At this room the bar is gone. */
const fullRoom = 4;

/** A full bar; beyond it there is room for the wedge of an edge. */
const barLength = 7;

/** How much of a half cell a bar fills: all of it without room, nothing from four semitones on. */
const barOf = (room: number): number =>
  (barLength * Math.max(0, fullRoom - Math.max(0, room))) / fullRoom;

/** The hollow wedge at a bar's end, pointing outward. */
const wedge = (x: number, base: number, way: 1 | -1): string =>
  `M${x - 4} ${base} L${x + 4} ${base} L${x} ${base + 4 * way} Z`;

/** What one part does in one of the ladder's keys, or how it would lie off the ladder. */
export function CellShape({
  fit,
  move,
  usual,
  hue,
}: {
  readonly fit: Fit;
  readonly move: Move | undefined;
  readonly usual: number;
  readonly hue: string;
}) {
  const middle = cell.height / 2;
  const x = cell.width / 2;
  const onLadder = move !== undefined;
  if (move === 'rest') {
    return <circle cx={x} cy={middle} r={4.5} fill="none" stroke={hue} strokeWidth={1.6} />;
  }
  if (onLadder && move !== usual) {
    const tick = move < usual ? 4 : cell.height - 4;
    return (
      <g stroke={hue} strokeWidth={1.2}>
        <line x1={x - 1.6} x2={x - 1.6} y1={4} y2={cell.height - 4} />
        <line x1={x + 1.6} x2={x + 1.6} y1={4} y2={cell.height - 4} />
        <line x1={x - 4} x2={x + 4} y1={tick} y2={tick} strokeWidth={1.8} />
      </g>
    );
  }
  if (fit.state === 'out') {
    return (
      <g stroke={color('brick')} strokeWidth={1.3} opacity={0.75}>
        <line x1={x - 5} x2={x + 5} y1={middle - 2} y2={middle - 2} />
        <line x1={x - 5} x2={x + 5} y1={middle + 2} y2={middle + 2} />
      </g>
    );
  }
  const above = barOf(fit.roomAbove);
  const below = barOf(fit.roomBelow);
  return (
    <g opacity={onLadder ? 1 : 0.8} fill={hue}>
      <rect x={x - 4} y={middle - 0.5 - above} width={8} height={above} />
      <rect x={x - 4} y={middle + 0.5} width={8} height={below} />
      {fit.roomAbove < 0 && (
        <path d={wedge(x, middle - 0.5 - above, -1)} fill={color('sheet')} stroke={hue} />
      )}
      {fit.roomBelow < 0 && (
        <path d={wedge(x, middle + 0.5 + below, 1)} fill={color('sheet')} stroke={hue} />
      )}
    </g>
  );
}

const roomInWords = (room: number, end: 'above' | 'below'): string => {
  if (room < 0) return `${semitonesInWords(-room)} ${end} the comfort`;
  return room === 0 ? `no room ${end}` : `room of ${countInWords(room)} ${end}`;
};

/** A cell in words: «Altos on D♭: D♭4 to E♭5, a semitone above the comfort.» */
export function cellInWords(
  band: Section,
  { tonic, fits }: KeyColumn,
  move: Move | undefined,
  wording: Wording,
): string {
  const fit = fits[band.id]!;
  const key = tonicName(tonic, wording.mode, wording.accidentals);
  const who = band.many.charAt(0).toUpperCase() + band.many.slice(1);
  if (move === 'rest') return `${who} rest on ${key}.`;
  if (move !== undefined && move !== band.octave) {
    return `${who} on ${key}: an octave ${move < band.octave ? 'down' : 'up'}.`;
  }
  const name = (note: number) => noteInKey(note, tonic, wording.mode, wording.accidentals);
  const span = `${name(fit.low)} to ${name(fit.high)}`;
  if (fit.state === 'out') return `${who} on ${key}: ${span}, out of reach.`;
  return `${who} on ${key}: ${span}, ${roomInWords(fit.roomAbove, 'above')}, ${roomInWords(fit.roomBelow, 'below')}.`;
}
