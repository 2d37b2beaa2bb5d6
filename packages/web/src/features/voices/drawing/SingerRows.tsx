import { Box } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { PitchRange } from '@wide-fern/core';
import { useEffect, useId, useRef, type KeyboardEvent } from 'react';
import { color } from '../../../ui/color';
import type { Row } from '../model/section';
import { rowState } from '../model/words';
import type { PitchAxis } from './geometry';

const rowHeight = 26;

/** One singer's line: comfort thick, reach thin; hollow and dotted when away. */
function SingerLine({
  row,
  axis,
  hue,
}: {
  readonly row: Row;
  readonly axis: PitchAxis;
  readonly hue: string;
}) {
  const { range, away } = row;
  const y = rowHeight / 2;
  if (!range) {
    return (
      <line
        x1={axis.left}
        x2={axis.right}
        y1={y}
        y2={y}
        stroke={color('line')}
        strokeDasharray="2 6"
      />
    );
  }
  const { comfort, reach } = range;
  const [from, to] = [axis.x(comfort[0]), axis.x(comfort[1] + 1)];
  return (
    <>
      <line
        x1={axis.x(reach[0])}
        x2={axis.x(reach[1] + 1)}
        y1={y}
        y2={y}
        stroke={hue}
        strokeWidth={1}
        strokeDasharray={away ? '2 4' : undefined}
        opacity={0.8}
      />
      {away ? (
        <rect
          x={from}
          y={y - 2.5}
          width={to - from}
          height={5}
          fill={color('paper')}
          stroke={hue}
          opacity={0.8}
        />
      ) : (
        <rect x={from} y={y - 2.5} width={to - from} height={5} fill={hue} />
      )}
    </>
  );
}

/** Every singer of a section as a line on the section's pitch axis; only those in view are drawn. */
export function SingerRows({
  rows,
  axis,
  band,
  width,
  hue,
  mostRows,
  chosen,
  onChoose,
}: {
  readonly rows: readonly Row[];
  readonly axis: PitchAxis;
  readonly band: PitchRange;
  readonly width: number;
  readonly hue: string;
  readonly mostRows: number;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const list = useId();
  const at = rows.findIndex(({ singer }) => singer.id === chosen);
  const shown = Math.min(rows.length, mostRows);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 6,
    initialRect: { width, height: shown * rowHeight },
  });
  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at);
    // Only a new choice moves the list.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chosen]);
  const keys = (event: KeyboardEvent) => {
    const page = Math.max(1, shown - 1);
    const by = { ArrowDown: 1, ArrowUp: -1, PageDown: page, PageUp: -page }[event.key];
    const to =
      by !== undefined
        ? at + by
        : event.key === 'Home'
          ? 0
          : event.key === 'End'
            ? rows.length - 1
            : undefined;
    if (to === undefined) return;
    event.preventDefault();
    const row = rows[Math.min(rows.length - 1, Math.max(0, to))];
    if (row) onChoose(row.singer.id);
  };
  const narrow = axis.left < 150;
  return (
    <Box
      ref={frame}
      role="listbox"
      aria-label="Singers"
      aria-activedescendant={at >= 0 ? `${list}-${at}` : undefined}
      tabIndex={0}
      onKeyDown={keys}
      h={`${shown * rowHeight}px`}
      overflowY={rows.length > shown ? 'auto' : 'hidden'}
      position="relative"
    >
      <Box h={`${virtual.getTotalSize()}px`} position="relative">
        <svg
          width={width}
          height={virtual.getTotalSize()}
          style={{ position: 'absolute', inset: 0 }}
          aria-hidden="true"
        >
          <rect
            x={axis.x(band[0])}
            y={0}
            width={axis.x(band[1] + 1) - axis.x(band[0])}
            height="100%"
            fill={hue}
            opacity={0.085}
          />
        </svg>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index]!;
          const isChosen = index === at;
          const state = rowState(row);
          return (
            <Box
              key={row.singer.id}
              id={`${list}-${index}`}
              role="option"
              aria-selected={isChosen}
              aria-label={state ? `${row.singer.name}, ${state}` : row.singer.name}
              onClick={() => onChoose(row.singer.id)}
              position="absolute"
              top={`${start}px`}
              left={0}
              w={`${width}px`}
              h={`${rowHeight}px`}
              cursor="pointer"
              _hover={{ bg: isChosen ? undefined : 'sunk/50' }}
            >
              {isChosen && (
                <Box position="absolute" inset="0" bg="fern" opacity={0.13} aria-hidden="true" />
              )}
              <Box
                position="absolute"
                left="0"
                w={`${axis.left - 12}px`}
                h="100%"
                display="flex"
                alignItems="center"
                justifyContent="space-between"
                gap="8px"
                fontSize="13px"
                color={row.away ? 'inkSoft' : 'ink'}
                fontWeight={isChosen ? 650 : 400}
              >
                <Box truncate>{row.singer.name}</Box>
                {!narrow && (
                  <Box color="inkSoft" fontSize="12px" fontWeight={400} whiteSpace="nowrap">
                    {state}
                  </Box>
                )}
              </Box>
              <svg
                width={width}
                height={rowHeight}
                style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
                aria-hidden="true"
              >
                <SingerLine row={row} axis={axis} hue={hue} />
              </svg>
            </Box>
          );
        })}
        <svg
          width={width}
          height={virtual.getTotalSize()}
          style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
          aria-hidden="true"
        >
          {[axis.x(band[0]), axis.x(band[1] + 1)].map((x) => (
            <line key={x} x1={x} x2={x} y1={0} y2="100%" stroke={hue} strokeWidth={1.5} />
          ))}
        </svg>
      </Box>
    </Box>
  );
}
