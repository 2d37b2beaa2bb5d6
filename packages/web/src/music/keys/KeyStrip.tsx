import { Box, Flex } from '@chakra-ui/react';
import {
  type Section,
  keyStrip,
  patternOf,
  tonicName,
  type Ladder,
  type Move,
  type SegmentKeys,
} from '@wide-fern/core';
import { type Wording } from '@wide-fern/words';
import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { color, hueOf } from '../../ui/color';
import { keyRange } from './keyRange';
import { cell, cellInWords, CellShape } from './KeyCell';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

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
  sections,
  wording,
  width,
  mayEdit,
  onStart,
  children,
}: {
  readonly keys: LadderKeys;
  readonly sections: readonly Section[];
  readonly wording: Wording;
  readonly width: number;
  readonly mayEdit: boolean;
  readonly onStart: (tonic: number) => void;
  /** What is said of the start, right below the strip. */
  readonly children: ReactNode;
}) {
  const { problem, best, sung } = keys;
  const [focused, setFocused] = useState<{ row: number; column: number }>();
  const grid = useRef<HTMLDivElement>(null);
  const most = Math.max(5, Math.floor((width - 26) / cell.width));
  const columns = keyStrip(sections, (part) => patternOf(problem, part), keyRange(keys, most));
  const first = columns[0]!.tonic;
  const bestStart = best.kind === 'ladder' ? best.start : undefined;
  const column = (tonic: number) => (tonic - first) * cell.width + cell.width / 2;
  const line = (sung?.tonics ?? []).map((tonic) => column(tonic));
  const pointed = focused && {
    band: sections[focused.row]!,
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
      row: Math.min(sections.length - 1, Math.max(0, from.row + step[0])),
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
        {sections.map((band, row) => (
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
      {children}
      <Box fontSize="13px" mt="2px" minH="18px" color="inkSoft" aria-live="off">
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
