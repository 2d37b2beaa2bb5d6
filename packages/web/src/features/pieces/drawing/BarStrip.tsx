import type { PieceMark } from '@wide-fern/contract';
import type { PieceAnalysis } from '@wide-fern/core';
import { useId, type KeyboardEvent, type PointerEvent } from 'react';
import { color, hueOf } from '../../../ui/color';
import { Grip } from '../../../ui/Grip';
import { SvgText } from '../../../ui/SvgText';
import type { ChosenBars, Choosing } from '../model/bars';
import { barsInWords } from '@wide-fern/words';
import { columnsOf, heightOf, strip, type Column } from './geometry';

interface StripProps {
  readonly analysis: PieceAnalysis;
  readonly marks: readonly PieceMark[];
  readonly chosen: ChosenBars | undefined;
  readonly onChoose: (bars: Choosing) => void;
  /** The bar that sounds. */
  readonly sounding: number | undefined;
  readonly width: number;
}

/** How hard each bar is for each part, to scale in bars, with the director's marks; bars are chosen on it. */
export function BarStrip({ analysis, marks, chosen, onChoose, sounding, width }: StripProps) {
  const id = useId();
  const room = width - strip.gutter;
  const columns = columnsOf(
    analysis.bars.map(({ number }) => number),
    room,
  );
  const step = room / columns.length;
  const x = (column: number) => strip.gutter + column * step;
  const top = strip.numbers + strip.marks + 4;
  const bottom = top + strip.lane * analysis.parts.length;
  const columnOf = (bar: number) => {
    const found = columns.findIndex(({ from, to }) => bar >= from && bar <= to);
    return found >= 0 ? found : columns.length - 1;
  };
  const at = (event: PointerEvent<SVGElement>): Column => {
    const box = event.currentTarget.ownerSVGElement ?? event.currentTarget;
    const place = Math.floor(
      (event.clientX - box.getBoundingClientRect().left - strip.gutter) / step,
    );
    return columns[Math.min(columns.length - 1, Math.max(0, place))]!;
  };
  const first = columns[0]!.from;
  const last = columns[columns.length - 1]!.to;
  const extend = (event: PointerEvent<SVGElement>) => {
    if (!(event.buttons & 1) || !chosen) return;
    const { from, to } = at(event);
    const began = Number(event.currentTarget.getAttribute('data-began'));
    onChoose({ from: Math.min(began, from), to: Math.max(began, to) });
  };
  const left = chosen ? x(columnOf(chosen.from)) : 0;
  const right = chosen ? x(columnOf(chosen.to) + 1) : 0;
  const edge = (end: 'from' | 'to') => {
    if (!chosen) return null;
    const move = (by: number) =>
      onChoose((was) => {
        const at = columnOf(was[end]) + by;
        const bar = columns[Math.min(columns.length - 1, Math.max(0, at))]!;
        return end === 'from'
          ? { from: Math.min(bar.from, was.to), to: was.to }
          : { from: was.from, to: Math.max(bar.to, was.from) };
      });
    const keys = (event: KeyboardEvent) => {
      const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -4, PageDown: 4 }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      move(by);
    };
    const here = end === 'from' ? left : right;
    return (
      <g
        role="slider"
        tabIndex={0}
        aria-label={end === 'from' ? 'First bar chosen' : 'Last bar chosen'}
        aria-valuemin={first}
        aria-valuemax={last}
        aria-valuenow={chosen[end]}
        aria-valuetext={`bar ${chosen[end]}`}
        onKeyDown={keys}
        onPointerDown={(event) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          if (!(event.buttons & 1)) return;
          const bar = at(event);
          if (end === 'from') onChoose({ from: Math.min(bar.from, chosen.to), to: chosen.to });
          else onChoose({ from: chosen.from, to: Math.max(bar.to, chosen.from) });
        }}
        style={{ cursor: 'ew-resize', touchAction: 'none' }}
      >
        <rect x={here - 12} y={top} width={24} height={bottom - top} fill="transparent" />
        <Grip x={here} y={(top + bottom) / 2} />
      </g>
    );
  };
  const numberEvery = Math.max(1, Math.ceil(44 / step / 4) * 4);
  const lines = Math.max(
    1,
    Math.round(numberEvery / (columns.length === analysis.bars.length ? 1 : 4)),
  );
  return (
    <svg
      width={width}
      height={bottom + 2}
      role="group"
      aria-labelledby={id}
      style={{ display: 'block', overflow: 'visible' }}
    >
      <title id={id}>
        {`How hard each bar is for each part${chosen ? `; ${barsInWords(chosen.from, chosen.to)} chosen` : ''}`}
      </title>
      {columns.map(({ from }, i) =>
        i % lines === 0 ? (
          <g key={from}>
            <SvgText x={x(i) + 2} y={strip.numbers - 2}>
              {from}
            </SvgText>
            <line x1={x(i)} x2={x(i)} y1={top} y2={bottom} stroke={color('line')} />
          </g>
        ) : null,
      )}
      <MarkSigns marks={marks} columnOf={columnOf} x={x} chosen={chosen} end={x(columns.length)} />
      {chosen && (
        <rect
          x={left}
          y={top - 2}
          width={right - left}
          height={bottom - top + 2}
          fill={color('fern')}
          opacity={0.08}
        />
      )}
      {analysis.parts.map((part, row) => {
        const floor = top + (row + 1) * strip.lane - 2;
        const hue = hueOf(part.part, row);
        return (
          <g key={part.part}>
            <SvgText
              x={strip.gutter - 10}
              y={floor - 4}
              textAnchor="end"
              hue={hue}
              size={15}
              weight={700}
            >
              {part.part}
            </SvgText>
            {columns.map(({ from, places }, i) => {
              const hardest = places
                .map((place) => part.difficulty[place]!)
                .reduce((a, b) => (b.points > a.points ? b : a));
              const height = heightOf(hardest.points);
              if (height < 0.4) return null;
              const isOutside = hardest.above || hardest.below;
              const middle = x(i) + step / 2;
              const y = floor - height;
              return (
                <g key={from}>
                  <rect
                    x={x(i) + 0.75}
                    y={y}
                    width={Math.max(1, step - 1.5)}
                    height={height}
                    fill={hue}
                    opacity={isOutside ? 1 : 0.78}
                  />
                  {isOutside && (
                    <path
                      d={
                        hardest.above
                          ? `M ${middle - 4} ${y - 2} L ${middle + 4} ${y - 2} L ${middle} ${y - 9} Z`
                          : `M ${middle - 4} ${y - 9} L ${middle + 4} ${y - 9} L ${middle} ${y - 2} Z`
                      }
                      fill={color('sheet')}
                      stroke={hue}
                      strokeWidth={1.2}
                    />
                  )}
                </g>
              );
            })}
          </g>
        );
      })}
      <rect
        x={strip.gutter}
        y={top}
        width={room}
        height={bottom - top}
        fill="none"
        stroke={color('line')}
      />
      {sounding !== undefined && (
        <line
          x1={x(columnOf(sounding)) + step / 2}
          x2={x(columnOf(sounding)) + step / 2}
          y1={top}
          y2={bottom}
          stroke={color('fern')}
          strokeWidth={2}
        />
      )}
      <rect
        x={strip.gutter}
        y={strip.numbers}
        width={room}
        height={bottom - strip.numbers}
        fill="transparent"
        data-began={chosen?.from}
        style={{ cursor: 'pointer', touchAction: 'none' }}
        onPointerDown={(event) => {
          const { from, to } = at(event);
          event.currentTarget.setAttribute('data-began', String(from));
          event.currentTarget.setPointerCapture(event.pointerId);
          if (event.shiftKey && chosen) {
            onChoose({ from: Math.min(chosen.from, from), to: Math.max(chosen.to, to) });
          } else onChoose({ from, to });
        }}
        onPointerMove={extend}
      />
      {chosen && (
        <rect
          x={left}
          y={top - 2}
          width={right - left}
          height={bottom - top + 2}
          fill="none"
          stroke={color('fern')}
          strokeWidth={2}
          pointerEvents="none"
        />
      )}
      {edge('from')}
      {edge('to')}
    </svg>
  );
}

/** The director's own marks above the bars, as many words as there is room for. */
function MarkSigns({
  marks,
  columnOf,
  x,
  chosen,
  end,
}: {
  readonly marks: readonly PieceMark[];
  readonly columnOf: (bar: number) => number;
  readonly x: (column: number) => number;
  readonly chosen: ChosenBars | undefined;
  readonly end: number;
}) {
  const y = strip.numbers + strip.marks - 4;
  const ordered = [...marks].sort((a, b) => a.fromBar - b.fromBar);
  return (
    <>
      {ordered.map((mark, i) => {
        const middle = (columnOf(mark.fromBar) + columnOf(mark.toBar) + 1) / 2;
        const here = x(middle);
        const next = ordered[i + 1];
        const until = next ? x((columnOf(next.fromBar) + columnOf(next.toBar) + 1) / 2) : end;
        const words = mark.note || mark.skill;
        const before = ordered[i - 1];
        const from = before
          ? x((columnOf(before.fromBar) + columnOf(before.toBar) + 1) / 2) + 60
          : x(0);
        const right = Math.floor((until - here - 22) / 6.2);
        const left = next ? 0 : Math.floor((here - from - 12) / 6.2);
        // The last mark may have more room before it than behind it.
        const isBefore = right < words.length && left > right;
        const fits = isBefore ? left : right;
        const isChosen = chosen && mark.fromBar <= chosen.to && mark.toBar >= chosen.from;
        const hidden = fits < 3;
        return (
          <g key={mark.id} pointerEvents="none">
            <path
              d={`M ${here - 5} ${y - 8} L ${here + 5} ${y - 8} L ${here} ${y} Z`}
              fill={color(isChosen ? 'spore' : 'ink')}
            />
            {!hidden && (
              <SvgText
                x={isBefore ? here - 8 : here + 8}
                y={y}
                textAnchor={isBefore ? 'end' : 'start'}
                ink={isChosen ? 'sporeText' : 'ink'}
                weight={isChosen ? 650 : 400}
              >
                {words.length > fits ? `${words.slice(0, fits - 1).trimEnd()}…` : words}
              </SvgText>
            )}
          </g>
        );
      })}
    </>
  );
}
