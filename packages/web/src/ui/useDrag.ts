import { useRef, type PointerEvent } from 'react';

/** Follows a pointer from where it is pressed until it is let go; the place is the element's own. */
export function useDrag(move: (at: { x: number; y: number }) => void) {
  const held = useRef(false);
  const follow = (event: PointerEvent<SVGElement>) => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (box) move({ x: event.clientX - box.left, y: event.clientY - box.top });
  };
  return {
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      held.current = true;
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      if (held.current) follow(event);
    },
    onPointerUp: (event: PointerEvent<SVGElement>) => {
      held.current = false;
      event.currentTarget.releasePointerCapture(event.pointerId);
    },
    onPointerCancel: () => {
      held.current = false;
    },
    style: { cursor: 'grab', touchAction: 'none' } as const,
  };
}
