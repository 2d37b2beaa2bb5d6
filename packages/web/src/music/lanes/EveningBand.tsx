import type { Evening } from '@wide-fern/contract';
import { placeAgenda } from '@wide-fern/core';
import { memo, useMemo } from 'react';
import { color } from '../../ui/color';
import type { Clock } from '@wide-fern/words';
import { timeAxis, type TimeView } from './geometry';
import { SvgText } from '../../ui/SvgText';

/** The largest of some sizes at which a text fits a width; undefined when none does. */
const sizeFor = (text: string, width: number, sizes: readonly number[]): number | undefined =>
  sizes.find((size) => text.length * size * 0.52 + 12 <= width);

/** The evening to scale, with the warm-up marked and fanned out onto the axis below. */
export function EveningBand({
  evening,
  item,
  filledTo,
  clock,
  left,
  right,
  clockY,
  top,
  bottom,
  fan,
  moment,
  label,
}: {
  readonly evening: Evening;
  readonly item: string;
  /** How much of the warm-up is planned, in seconds from its start. */
  readonly filledTo: number;
  readonly clock: Clock;
  readonly left: number;
  readonly right: number;
  readonly clockY: number;
  readonly top: number;
  readonly bottom: number;
  /** Where the opened form below begins and ends. */
  readonly fan: {
    readonly left: number;
    readonly right: number;
    readonly bottom: number;
    /** The stretch of it that is opened, in seconds from its start; all where nothing is said. */
    readonly view?: TimeView;
  };
  /** A moment pointed at, in seconds from the warm-up's start. */
  readonly moment?: number | undefined;
  /** The row's word, at the left. */
  readonly label?: { readonly x: number; readonly text: string };
}) {
  const { placed, available, axis } = useMemo(
    () => laidOut(evening, left, right),
    [evening, left, right],
  );
  const own = placed.items.find(({ id }) => id === item);
  const opened = own && {
    left: axis.x(own.from + (fan.view?.from ?? 0)),
    right: axis.x(Math.min(own.to, own.from + (fan.view?.to ?? Infinity))),
  };
  return (
    <g>
      {label && (
        <SvgText x={label.x} y={(top + bottom) / 2 + 4}>
          {label.text}
        </SvgText>
      )}
      <Agenda {...{ evening, placed, available, axis, clock, clockY, top, bottom }} />
      {own && opened && (
        <g>
          <rect
            x={axis.x(own.from)}
            y={top}
            width={Math.max(0, axis.x(Math.min(own.to, own.from + filledTo)) - axis.x(own.from))}
            height={bottom - top}
            fill={color('fern')}
            fillOpacity={0.12}
          />
          <path
            d={`M${opened.left} ${bottom} L${opened.right} ${bottom} L${fan.right} ${fan.bottom} L${fan.left} ${fan.bottom} Z`}
            fill={color('fern')}
            fillOpacity={0.06}
          />
          <path
            d={`M${opened.right} ${bottom} L${fan.right} ${fan.bottom} M${opened.left} ${bottom} L${fan.left} ${fan.bottom}`}
            stroke={color('fern')}
            strokeOpacity={0.6}
          />
          {moment !== undefined && (
            <line
              x1={axis.x(own.from + moment)}
              x2={axis.x(own.from + moment)}
              y1={top}
              y2={bottom}
              stroke={color('fern')}
            />
          )}
        </g>
      )}
    </g>
  );
}

/** The items of an evening, one behind the other, on an axis that holds them all. */
function laidOut(evening: Evening, left: number, right: number) {
  const available = (Date.parse(evening.endsAt) - Date.parse(evening.startsAt)) / 1000;
  const placed = placeAgenda(evening.agenda, available);
  return { placed, available, axis: timeAxis(left, right, available + placed.over) };
}

/** What is sung and done on the evening, with the clock above it; not drawn anew as a plan changes. */
const Agenda = memo(
  ({
    evening,
    placed,
    available,
    axis,
    clock,
    clockY,
    top,
    bottom,
  }: ReturnType<typeof laidOut> & {
    readonly evening: Evening;
    readonly clock: Clock;
    readonly clockY: number;
    readonly top: number;
    readonly bottom: number;
  }) => {
    const start = Date.parse(evening.startsAt);
    const ends = new Set([0, available]);
    let lastFigure = -Infinity;
    const figures = [...placed.items.map(({ from }) => from), available].flatMap((seconds) => {
      const x = axis.x(seconds);
      const isEnd = seconds === available;
      // The end's figure is right-aligned; one that would meet it is left out.
      if (!ends.has(seconds) && (x - lastFigure < 38 || axis.right - x < 76)) return [];
      if (x - lastFigure < 34 && !isEnd) return [];
      lastFigure = x;
      return [{ seconds, x: isEnd ? axis.x(available) : x, isEnd: isEnd && placed.over === 0 }];
    });
    return (
      <>
        {figures.map(({ seconds, x, isEnd }) => (
          <SvgText key={seconds} x={x} y={clockY} textAnchor={isEnd ? 'end' : 'start'}>
            {clock.drawn.minute(start + seconds * 1000)}
          </SvgText>
        ))}
        <rect
          x={axis.left}
          y={top}
          width={axis.right - axis.left}
          height={bottom - top}
          fill={color('sheet')}
        />
        {placed.items.map(({ id, from, to }) => {
          const { kind, title } = evening.agenda.find((one) => one.id === id)!;
          const x = axis.x(from);
          const width = axis.x(to) - x;
          const isPiece = kind === 'piece';
          const word = isPiece || kind === 'warm-up' ? title : title.toLowerCase();
          const quiet = !isPiece && kind !== 'warm-up';
          const size = sizeFor(word, width, isPiece ? [14, 12] : quiet ? [12] : [13, 12]);
          return (
            <g key={id}>
              <title>{title}</title>
              {quiet && (
                <rect x={x} y={top} width={width} height={bottom - top} fill={color('sunk')} />
              )}
              <line x1={x} x2={x} y1={top} y2={bottom} stroke={color('line')} />
              {size && (
                <SvgText
                  x={x + 8}
                  y={(top + bottom) / 2 + 4.5}
                  size={size}
                  isName={isPiece}
                  weight={quiet ? 400 : 650}
                  ink={quiet ? 'inkSoft' : 'ink'}
                >
                  {word}
                </SvgText>
              )}
            </g>
          );
        })}
        <rect
          x={axis.left + 0.5}
          y={top + 0.5}
          width={axis.right - axis.left - 1}
          height={bottom - top - 1}
          fill="none"
          stroke={color('line')}
        />
      </>
    );
  },
);
