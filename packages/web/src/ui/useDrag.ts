import { useDrag as useGesture } from '@use-gesture/react';
import { setPulled } from './pulling';

/** A place in an SVG, from its own corner. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** A pointer that was pressed on a drawing. */
export interface Drag extends Place {
  readonly began: Place;
  /** It was pressed just now and has not moved yet. */
  readonly isFirst: boolean;
  readonly shift: boolean;
}

/** Follows a pointer from where it is pressed until it is let go; what lies below is not told. */
export function useDrag(follow: (drag: Drag) => void) {
  const bind = useGesture(
    ({ event, currentTarget, xy, initial, first, last, shiftKey }) => {
      event.stopPropagation();
      setPulled(last ? undefined : 'other');
      const box = (currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
      if (!box) return;
      const [x, y] = [xy[0] - box.left, xy[1] - box.top];
      const began = { x: initial[0] - box.left, y: initial[1] - box.top };
      follow({ x, y, began, isFirst: first, shift: shiftKey });
    },
    // Arrows are the sliders' own.
    { pointer: { keys: false } },
  );
  return { ...bind(), style: { cursor: 'grab', touchAction: 'none' } as const };
}
