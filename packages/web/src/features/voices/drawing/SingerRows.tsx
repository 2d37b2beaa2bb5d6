import { Box } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { PitchRange } from '@wide-fern/core';
import { useEffect, useId, useRef, type KeyboardEvent } from 'react';
import { color } from '../../../ui/color';
import type { Row } from '../model/section';
import { rowState } from '../model/words';
import type { PitchAxis } from './geometry';

/** Longer sections are drawn only where they are in view. */
const mostWhole = 60;

/** One singer's line: comfort thick, reach thin; hollow and dotted when away. */
function SingerLine({
  row,
  axis,
  hue,
  rowHeight,
}: {
  readonly rowHeight: number;
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

/**
 * A singer's name and state, over the whole row so that it can be chosen anywhere. Plain elements:
 * there may be many, and they have to stand at once.
 */
function SingerName({
  id,
  row,
  isChosen,
  top,
  width,
  gutter,
  rowHeight,
  withState,
  onChoose,
}: {
  readonly rowHeight: number;
  readonly id: string;
  readonly row: Row;
  readonly isChosen: boolean;
  readonly top: number;
  readonly width: number;
  readonly gutter: number;
  readonly withState: boolean;
  readonly onChoose: (id: string) => void;
}) {
  const { singer, away } = row;
  const state = rowState(row);
  return (
    <div
      id={id}
      role="option"
      aria-selected={isChosen}
      aria-label={state ? `${singer.name}, ${state}` : singer.name}
      onClick={() => onChoose(singer.id)}
      style={{
        position: 'absolute',
        top,
        left: 0,
        width,
        height: rowHeight,
        lineHeight: `${rowHeight}px`,
        cursor: 'pointer',
        fontSize: 13,
        fontWeight: isChosen ? 650 : 400,
        color: color(away ? 'inkSoft' : 'ink'),
      }}
    >
      <div style={{ width: gutter, display: 'flex', gap: 8, justifyContent: 'space-between' }}>
        <span style={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {singer.name}
        </span>
        {withState && state !== '' && (
          <span
            style={{
              color: color('inkSoft'),
              fontSize: 12,
              fontWeight: 400,
              whiteSpace: 'nowrap',
            }}
          >
            {state}
          </span>
        )}
      </div>
    </div>
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
  rowHeight,
  chosen,
  onChoose,
}: {
  readonly rows: readonly Row[];
  readonly axis: PitchAxis;
  readonly band: PitchRange;
  readonly width: number;
  readonly hue: string;
  readonly mostRows: number;
  /** In px. */
  readonly rowHeight: number;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const list = useId();
  const at = rows.findIndex(({ singer }) => singer.id === chosen);
  const shown = Math.min(rows.length, mostRows);
  // A usual section is drawn whole: measuring its frame first would cost more than drawing it.
  const isLong = rows.length > mostWhole;
  const virtual = useVirtualizer({
    enabled: isLong,
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 6,
    initialRect: { width, height: shown * rowHeight },
  });
  const inView = isLong
    ? virtual.getVirtualItems()
    : rows.map((_, index) => ({ index, start: index * rowHeight }));
  const height = rows.length * rowHeight;
  useEffect(() => {
    if (at < 0) return;
    if (isLong) virtual.scrollToIndex(at);
    else document.getElementById(`${list}-${at}`)?.scrollIntoView({ block: 'nearest' });
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
      <div style={{ height, position: 'relative' }}>
        <svg
          width={width}
          height={height}
          style={{ position: 'absolute', inset: 0 }}
          aria-hidden="true"
        >
          <rect
            x={axis.x(band[0])}
            y={0}
            width={axis.x(band[1] + 1) - axis.x(band[0])}
            height={height}
            fill={hue}
            opacity={0.085}
          />
          {at >= 0 && (
            <rect
              x={0}
              y={at * rowHeight}
              width={width}
              height={rowHeight}
              fill={color('fern')}
              opacity={0.13}
            />
          )}
          {inView.map(({ index, start }) => (
            <g key={rows[index]!.singer.id} transform={`translate(0 ${start})`}>
              <SingerLine row={rows[index]!} axis={axis} hue={hue} rowHeight={rowHeight} />
            </g>
          ))}
          {[axis.x(band[0]), axis.x(band[1] + 1)].map((x) => (
            <line key={x} x1={x} x2={x} y1={0} y2={height} stroke={hue} strokeWidth={1.5} />
          ))}
        </svg>
        {inView.map(({ index, start }) => (
          <SingerName
            rowHeight={rowHeight}
            key={rows[index]!.singer.id}
            id={`${list}-${index}`}
            row={rows[index]!}
            isChosen={index === at}
            top={start}
            width={width}
            gutter={axis.left - 12}
            withState={!narrow}
            onChoose={onChoose}
          />
        ))}
      </div>
    </Box>
  );
}
