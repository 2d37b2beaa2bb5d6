import type { KeyboardEvent, PointerEvent } from 'react';
import { Grip } from '../../../ui/Grip';
import type { ChosenBars, Choosing } from '../model/bars';
import { endMoved, withEnd, type Column, type StripScale } from './geometry';

/** Where the chosen bars begin or end; it is dragged, or moved by keys. */
export function StripEdge({
  end,
  x,
  scale,
  chosen,
  at,
  onChoose,
}: {
  readonly end: 'from' | 'to';
  readonly x: number;
  readonly scale: StripScale;
  readonly chosen: ChosenBars;
  readonly at: (event: PointerEvent<SVGElement>) => Column;
  readonly onChoose: (bars: Choosing) => void;
}) {
  const { columns, top, bottom } = scale;
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -4, PageDown: 4 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onChoose((was) => endMoved(was, end, by, scale));
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={end === 'from' ? 'First bar chosen' : 'Last bar chosen'}
      aria-valuemin={columns[0]!.from}
      aria-valuemax={columns[columns.length - 1]!.to}
      aria-valuenow={chosen[end]}
      aria-valuetext={`bar ${chosen[end]}`}
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (event.buttons & 1) onChoose(withEnd(chosen, end, at(event)));
      }}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
    >
      <rect x={x - 12} y={top} width={24} height={bottom - top} fill="transparent" />
      <Grip x={x} y={(top + bottom) / 2} />
    </g>
  );
}
