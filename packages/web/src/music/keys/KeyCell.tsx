import { Box } from '@chakra-ui/react';
import type { Fit, KeyColumn, Section } from '@wide-fern/core';
import { cellInWords, type CellDoing, type Wording } from '@wide-fern/words';
import type { KeyboardEvent } from 'react';
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
function CellShape({
  fit,
  doing: { move, holds = false },
  usual,
  hue,
}: {
  readonly fit: Fit;
  readonly doing: CellDoing;
  readonly usual: number;
  readonly hue: string;
}) {
  const middle = cell.height / 2;
  const x = cell.width / 2;
  const onLadder = move !== undefined;
  if (move === 'rest') {
    return <circle cx={x} cy={middle} r={4.5} fill="none" stroke={hue} strokeWidth={1.6} />;
  }
  if (holds) return <rect x={x - 5} y={middle - 1.5} width={15} height={3} fill={hue} />;
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
      <g stroke={color('brick')} strokeWidth={1.3} strokeOpacity={0.75}>
        <line x1={x - 5} x2={x + 5} y1={middle - 2} y2={middle - 2} />
        <line x1={x - 5} x2={x + 5} y1={middle + 2} y2={middle + 2} />
      </g>
    );
  }
  const above = barOf(fit.roomAbove);
  const below = barOf(fit.roomBelow);
  return (
    <g fillOpacity={onLadder ? 1 : 0.8} strokeOpacity={onLadder ? 1 : 0.8} fill={hue}>
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

/** A cell of the strip: one part in one key. */
export function Cell({
  place,
  band,
  column,
  doing,
  wording,
  hue,
  isFocused,
  isEntry,
  onPoint,
  onAsk,
}: {
  /** «row-column», by which it is found and focused. */
  readonly place: string;
  readonly band: Section;
  readonly column: KeyColumn;
  readonly doing: CellDoing;
  readonly wording: Wording;
  readonly hue: string;
  readonly isFocused: boolean;
  /** Nothing has the focus yet: the Tab key comes in here. */
  readonly isEntry: boolean;
  readonly onPoint: () => void;
  /** Asks what the part is to do there; undefined where nothing can be told. */
  readonly onAsk: (() => void) | undefined;
}) {
  const { move, untold } = doing;
  const isSung = move !== undefined && move !== 'rest';
  return (
    <Box
      role="gridcell"
      data-cell={place}
      aria-label={cellInWords(band, column, doing, wording)}
      tabIndex={isFocused || isEntry ? 0 : -1}
      onFocus={onPoint}
      onMouseEnter={onPoint}
      onClick={onAsk}
      onKeyDown={(event: KeyboardEvent) => {
        if (!onAsk || (event.key !== 'Enter' && event.key !== ' ')) return;
        event.preventDefault();
        onAsk();
      }}
      cursor={onAsk ? 'pointer' : undefined}
      w={`${cell.width}px`}
      h={`${cell.height}px`}
      pr="1px"
      outlineOffset="-2px"
    >
      <svg width={cell.width - 1} height={cell.height} aria-hidden="true">
        <rect
          width={cell.width - 1}
          height={cell.height}
          fill={isSung ? hue : color('paper')}
          fillOpacity={isSung ? 0.085 : 1}
        />
        <CellShape fit={column.fits[band.id]!} doing={doing} usual={band.octave} hue={hue} />
        {untold !== undefined && (
          <rect x={1} y={cell.height / 2 - 3} width={3} height={6} fill={hue} />
        )}
        {isFocused && (
          <rect
            x={1}
            y={1}
            width={cell.width - 3}
            height={cell.height - 2}
            fill="none"
            stroke={color('fern')}
            strokeWidth={2}
          />
        )}
      </svg>
    </Box>
  );
}
