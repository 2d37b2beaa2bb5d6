import { Box, Flex } from '@chakra-ui/react';
import type { Band } from '@wide-fern/contract';
import {
  countInWords,
  keyStrip,
  noteName,
  semitonesInWords,
  tonicName,
  type Fit,
  type KeyColumn,
  type Ladder,
  type Move,
  type SegmentKeys,
  type Wording,
} from '@wide-fern/core';
import { useRef, useState, type KeyboardEvent } from 'react';
import { color, hueOf } from '../../ui/color';
import { keyRange } from './model/keyRange';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

const cell = { width: 30, height: 24, gap: 1 } as const;
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
function cellInWords(
  band: Band,
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
  const name = (note: number) => noteName(note, wording.accidentals);
  const span = `${name(fit.low)} to ${name(fit.high)}`;
  if (fit.state === 'out') return `${who} on ${key}: ${span}, out of reach.`;
  return `${who} on ${key}: ${span}, ${roomInWords(fit.roomAbove, 'above')}, ${roomInWords(fit.roomBelow, 'below')}.`;
}

/** The moves of each column: a tonic that is sung more than once shows its first time. */
function movesAt(ladder: Ladder | undefined, tonic: number, part: string): Move | undefined {
  if (!ladder) return undefined;
  const i = ladder.tonics.indexOf(tonic);
  return i < 0 ? undefined : ladder.paths.find(({ id }) => id === part)?.moves[i];
}

/**
 * Every tonic by semitone, every part: the room above and below, what is done on the ladder, and
 * the ladder as a line in the order sung. Choosing a column starts the ladder there.
 */
export function KeyStrip({
  keys,
  bands,
  wording,
  width,
  mayEdit,
  onStart,
}: {
  readonly keys: LadderKeys;
  readonly bands: readonly Band[];
  readonly wording: Wording;
  readonly width: number;
  readonly mayEdit: boolean;
  readonly onStart: (tonic: number) => void;
}) {
  const { problem, best, sung } = keys;
  const [focused, setFocused] = useState<{ row: number; column: number }>();
  const grid = useRef<HTMLDivElement>(null);
  const most = Math.max(5, Math.floor((width - 26) / cell.width));
  const columns = keyStrip(bands, problem.pattern, keyRange(keys, most));
  const first = columns[0]!.tonic;
  const bestStart = best.kind === 'ladder' ? best.start : undefined;
  const column = (tonic: number) => (tonic - first) * cell.width + cell.width / 2;
  const line = (sung?.tonics ?? []).map((tonic) => column(tonic));
  const pointed = focused && {
    band: bands[focused.row]!,
    at: columns[focused.column]!,
  };

  const moveFocus = (event: KeyboardEvent) => {
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
    };
    const step = steps[event.key];
    if (!step || event.shiftKey) return;
    event.preventDefault();
    const from = focused ?? { row: 0, column: 0 };
    const to = {
      row: Math.min(bands.length - 1, Math.max(0, from.row + step[0])),
      column: Math.min(columns.length - 1, Math.max(0, from.column + step[1])),
    };
    setFocused(to);
    grid.current?.querySelector<HTMLElement>(`[data-cell="${to.row}-${to.column}"]`)?.focus();
  };

  return (
    <Box>
      <Flex pl="26px" aria-label="Starts" role="group">
        {columns.map(({ tonic }) => {
          const isOn = sung?.tonics.includes(tonic) ?? false;
          const key = tonicName(tonic, wording.mode, wording.accidentals);
          const isStart = sung?.start === tonic;
          return (
            <Box
              as="button"
              key={tonic}
              aria-label={`Start on ${key}${tonic === bestStart ? ', the best start' : ''}`}
              aria-pressed={isStart}
              {...{ disabled: !mayEdit }}
              onClick={() => onStart(tonic)}
              w={`${cell.width}px`}
              pt="7px"
              position="relative"
              fontSize="13px"
              textAlign="center"
              fontWeight={isOn ? 700 : 400}
              color={isOn ? 'ink' : 'inkSoft'}
              cursor={mayEdit ? 'pointer' : 'default'}
              _hover={mayEdit ? { color: 'fern' } : {}}
            >
              {tonic === bestStart && (
                <Box
                  as="span"
                  position="absolute"
                  top="1px"
                  left="12px"
                  w="6px"
                  h="6px"
                  borderRadius="50%"
                  bg="fern"
                />
              )}
              {key}
            </Box>
          );
        })}
      </Flex>
      <svg
        width={26 + columns.length * cell.width}
        height={18}
        aria-hidden="true"
        style={{ display: 'block' }}
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
        </g>
      </svg>
      <Box
        ref={grid}
        role="grid"
        aria-label="Room of each part in each key"
        onKeyDown={moveFocus}
        onMouseLeave={() => setFocused(undefined)}
      >
        {bands.map((band, row) => (
          <Flex key={band.id} role="row" mt={`${cell.gap}px`}>
            <Box
              role="rowheader"
              w="26px"
              fontWeight={700}
              fontSize="15px"
              style={{ color: hueOf(band.id, row) }}
            >
              {band.id}
            </Box>
            {columns.map((each, i) => {
              const move = movesAt(sung, each.tonic, band.id);
              const isFocused = focused?.row === row && focused.column === i;
              const hue = hueOf(band.id, row);
              return (
                <Box
                  key={each.tonic}
                  role="gridcell"
                  data-cell={`${row}-${i}`}
                  aria-label={cellInWords(band, each, move, wording)}
                  tabIndex={(focused ? isFocused : row === 0 && i === 0) ? 0 : -1}
                  onFocus={() => setFocused({ row, column: i })}
                  onMouseEnter={() => setFocused({ row, column: i })}
                  w={`${cell.width}px`}
                  h={`${cell.height}px`}
                  pr="1px"
                  outlineOffset="-2px"
                >
                  <svg width={cell.width - 1} height={cell.height} aria-hidden="true">
                    <rect
                      width={cell.width - 1}
                      height={cell.height}
                      fill={move !== undefined && move !== 'rest' ? hue : color('paper')}
                      opacity={move !== undefined && move !== 'rest' ? 0.085 : 1}
                    />
                    <CellShape
                      fit={each.fits[band.id]!}
                      move={move}
                      usual={band.octave}
                      hue={hue}
                    />
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
            })}
          </Flex>
        ))}
      </Box>
      <Box fontSize="13px" mt="4px" minH="18px" aria-live="off">
        {pointed
          ? cellInWords(
              pointed.band,
              pointed.at,
              movesAt(sung, pointed.at.tonic, pointed.band.id),
              wording,
            )
          : null}
      </Box>
    </Box>
  );
}

/** A small arrow head at the ladder's last key, pointing the way it moved. */
function arrowAt(x: number, before: number): string {
  const way = x >= before ? 1 : -1;
  return `M${x - 4 * way} 4 L${x + 2 * way} 9 L${x - 4 * way} 14`;
}
