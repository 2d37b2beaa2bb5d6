import type { PieceMark } from '@wide-fern/contract';
import type { PieceAnalysis } from '@wide-fern/core';
import { barsInWords } from '@wide-fern/words';
import { useId } from 'react';
import { color } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { useDrag } from '../../../ui/useDrag';
import type { ChosenBars, Choosing } from '../model/bars';
import { strip, stripScale } from './geometry';
import { MarkSigns } from './MarkSigns';
import { StripEdge } from './StripEdge';
import { StripLanes } from './StripLanes';

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
  const scale = stripScale(
    analysis.bars.map(({ number }) => number),
    analysis.parts.length,
    width,
  );
  const { columns, x, columnOf, top, bottom, room, step } = scale;
  const drag = useDrag(({ x: at, began, isFirst, shift }) => {
    const { from, to } = scale.columnAt(at);
    if (isFirst && shift && chosen) {
      onChoose({ from: Math.min(chosen.from, from), to: Math.max(chosen.to, to) });
      return;
    }
    const first = scale.columnAt(began.x);
    onChoose({ from: Math.min(first.from, from), to: Math.max(first.to, to) });
  });
  const left = chosen ? x(columnOf(chosen.from)) : 0;
  const right = chosen ? x(columnOf(chosen.to) + 1) : 0;
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
        i % scale.numbered === 0 ? (
          <g key={from}>
            <SvgText x={x(i) + 2} y={strip.numbers - 2}>
              {from}
            </SvgText>
            <line x1={x(i)} x2={x(i)} y1={top} y2={bottom} stroke={color('line')} />
          </g>
        ) : null,
      )}
      <MarkSigns marks={marks} scale={scale} chosen={chosen} />
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
      <StripLanes analysis={analysis} scale={scale} />
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
        {...drag}
        style={{ ...drag.style, cursor: 'pointer' }}
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
      {chosen &&
        (['from', 'to'] as const).map((end) => (
          <StripEdge
            key={end}
            end={end}
            x={end === 'from' ? left : right}
            scale={scale}
            chosen={chosen}
            onChoose={onChoose}
          />
        ))}
    </svg>
  );
}
