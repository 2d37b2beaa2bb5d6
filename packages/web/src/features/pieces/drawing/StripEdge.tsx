import type { KeyboardEvent } from 'react';
import { Grip } from '../../../ui/Grip';
import { useDrag } from '../../../ui/useDrag';
import type { ChosenBars, Choosing } from '../model/bars';
import { endMoved, withEnd, type StripScale } from './geometry';

/** Where the chosen bars begin or end; it is dragged, or moved by keys. */
export function StripEdge({
  end,
  x,
  scale,
  chosen,
  onChoose,
}: {
  readonly end: 'from' | 'to';
  readonly x: number;
  readonly scale: StripScale;
  readonly chosen: ChosenBars;
  readonly onChoose: (bars: Choosing) => void;
}) {
  const { columns, top, bottom } = scale;
  const drag = useDrag(({ x: to, isFirst }) => {
    if (!isFirst) onChoose(withEnd(chosen, end, scale.columnAt(to)));
  });
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
      {...drag}
      style={{ ...drag.style, cursor: 'ew-resize' }}
    >
      <rect x={x - 12} y={top} width={24} height={bottom - top} fill="transparent" />
      <Grip x={x} y={(top + bottom) / 2} />
    </g>
  );
}
