import { useGesture } from '@use-gesture/react';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { useEffect, useRef, type RefObject } from 'react';
import type { TimeAxis, TimeView } from '../../../music/lanes/geometry';
import { setPulled } from '../../../ui/pulling';
import { moved, nearer, viewOfSegment, zoomed } from './nearer';

/** What can be asked of a plan's view by word or by key. */
export interface Looking {
  readonly nearer: () => void;
  readonly whole: () => void;
}

/** A turn of the wheel, in px, that makes the view half as long again. */
const wheelStep = 240;

/**
 * Looks at a plan from near: two fingers, or the wheel with Ctrl or Alt, hold the moment they are at; the
 * wheel alone moves a view sideways. Draws nothing.
 */
export function Zoom({
  frame,
  looking,
  plan,
  axis,
  view,
  chosen,
  moment,
  onView,
}: {
  /** What is drawn on the axis. */
  readonly frame: RefObject<HTMLElement | null>;
  /** Filled with what can be asked. */
  readonly looking: RefObject<Looking | undefined>;
  readonly plan: EvaluatedPlan;
  readonly axis: TimeAxis;
  readonly view: TimeView | undefined;
  readonly chosen: string | null;
  readonly moment: number | undefined;
  readonly onView: (view: TimeView | undefined) => void;
}) {
  const whole = Math.max(plan.allotted, plan.total);
  // Fingers and wheels tell more often than can be drawn: the last word of a frame counts.
  const asked = useRef<{ readonly view: TimeView; readonly frame: number }>(undefined);
  const show = (next: TimeView) => {
    const frame =
      asked.current?.frame ??
      requestAnimationFrame(() => {
        const { view: last } = asked.current!;
        asked.current = undefined;
        onView(last.to - last.from >= whole - 0.5 ? undefined : last);
      });
    asked.current = { view: next, frame };
  };
  useEffect(
    () => () => {
      if (asked.current) cancelAnimationFrame(asked.current.frame);
    },
    [],
  );
  const placeOf = (clientX: number) => clientX - (frame.current?.getBoundingClientRect().left ?? 0);
  useGesture(
    {
      onPinch: ({ origin: [x], movement: [scale], memo, event, last }) => {
        setPulled(last ? undefined : 'other');
        if (event.cancelable) event.preventDefault();
        const began = (memo as { view: TimeView; at: number } | undefined) ?? {
          view: axis.view,
          at: axis.at(placeOf(x)),
        };
        // That it is over is told a moment later: the view may have been changed since.
        if (!last) show(zoomed(began.view, 1 / scale, began.at, whole));
        return began;
      },
      onWheel: ({ event, delta: [dx, dy], last }) => {
        // With Ctrl the same turn is told as two fingers are.
        if (event.ctrlKey) return;
        setPulled(!last && (view !== undefined || event.altKey) ? 'other' : undefined);
        if (last) return;
        if (event.altKey) {
          if (event.cancelable) event.preventDefault();
          const at = axis.at(placeOf(event.clientX));
          show(zoomed(asked.current?.view ?? axis.view, 1.5 ** (dy / wheelStep), at, whole));
          return;
        }
        const by = dx || (event.shiftKey ? dy : 0);
        if (!view || by === 0) return;
        if (event.cancelable) event.preventDefault();
        const perSecond = (axis.right - axis.left) / (view.to - view.from);
        show(moved(asked.current?.view ?? view, by / perSecond, whole));
      },
    },
    { target: frame, eventOptions: { passive: false } },
  );
  useEffect(() => {
    looking.current = {
      nearer: () => {
        const next = nearer(asked.current?.view ?? view, plan, chosen, moment, whole);
        if (next) show(next);
      },
      whole: () => onView(undefined),
    };
  });
  // Whoever goes on to another segment sees it.
  useEffect(() => {
    if (!view) return;
    const segment = viewOfSegment(plan, chosen, whole);
    if (segment && (segment.to <= view.from + 1 || segment.from >= view.to - 1)) show(segment);
    // Only another segment moves the view, not what becomes of this one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chosen]);
  return null;
}
