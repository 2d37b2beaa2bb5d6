import { Box } from '@chakra-ui/react';
import { useGesture } from '@use-gesture/react';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { memo, useRef, useState, type Ref, type RefObject } from 'react';
import type { TimeAxis } from '../../../music/lanes/geometry';
import { gapAt, gapPlaces, placeInGap } from './gaps';

/** What waits on the shelf takes what is let go over the strip: which exercise, behind which segment. */
export type Dropping = (exercise: string, after: string | null) => void;

/** So long a finger rests on what it takes along, in ms. */
const restMs = 300;

/** What is dragged: a segment of the strip, or an exercise of the shelf. */
interface Dragged {
  readonly kind: 'segment' | 'exercise';
  readonly id: string;
  readonly element: HTMLElement;
}

const isAbove = (y: number, strip: Element | null): boolean =>
  strip !== null && y <= strip.getBoundingClientRect().bottom + 12;

/**
 * Drags segments to another place, and exercises from the shelf to where they shall stand: a line in the strip
 * says where what is dragged would go. By keyboard both are done by keys and words.
 */
export function Dragging({
  frame,
  plan,
  axis,
  dropping,
  onMove,
}: {
  /** What holds the strip and the shelf. */
  readonly frame: RefObject<HTMLElement | null>;
  readonly plan: EvaluatedPlan;
  readonly axis: TimeAxis;
  readonly dropping: RefObject<Dropping | undefined>;
  readonly onMove: (segment: string, to: number) => void;
}) {
  const [gap, setGap] = useState<number>();
  const shadow = useRef<HTMLDivElement>(null);
  const strip = () => frame.current?.querySelector('[data-strip]') ?? null;
  const ids = plan.segments.map(({ segment }) => segment.id);

  const what = (target: EventTarget | null): Dragged | undefined => {
    if (!(target instanceof Element) || target.closest('[data-pull]')) return undefined;
    const element = target.closest<HTMLElement>('[data-segment], [data-exercise]');
    if (!element) return undefined;
    const { segment, exercise } = element.dataset;
    return segment === undefined
      ? { kind: 'exercise', id: exercise!, element }
      : { kind: 'segment', id: segment, element };
  };

  /** Draws what is dragged at the pointer, without asking the page to draw itself. */
  const follow = ({ kind, element }: Dragged, [x, y]: readonly number[], by: number) => {
    if (kind === 'segment') {
      const item = element.parentElement!;
      item.style.transform = `translate3d(${by}px, 0, 0)`;
      item.style.zIndex = '2';
    } else if (shadow.current) {
      shadow.current.textContent = element.dataset['name'] ?? '';
      shadow.current.style.display = 'block';
      shadow.current.style.transform = `translate3d(${x! + 12}px, ${y! + 8}px, 0)`;
    }
  };
  const letGo = ({ kind, element }: Dragged) => {
    setGap(undefined);
    if (kind === 'segment') {
      element.parentElement!.style.transform = '';
      element.parentElement!.style.zIndex = '';
    } else if (shadow.current) {
      shadow.current.style.display = 'none';
    }
  };

  useGesture(
    {
      onDrag: ({ first, last, canceled, cancel, memo, target, xy, movement: [by] }) => {
        const dragged = first ? what(target) : (memo as Dragged | undefined);
        if (!dragged) {
          cancel();
          return undefined;
        }
        // From far down the shelf the strip may be out of sight.
        if (first && dragged.kind === 'exercise') strip()?.scrollIntoView({ block: 'nearest' });
        const box = strip()?.getBoundingClientRect();
        const isOver = dragged.kind === 'segment' || isAbove(xy[1], strip());
        const here = isOver && box ? gapAt(plan, axis, xy[0] - box.left) : undefined;
        if (!last) {
          follow(dragged, xy, by);
          setGap(here);
          return dragged;
        }
        letGo(dragged);
        // What was dragged is not pressed too.
        window.addEventListener('click', stop, { capture: true, once: true });
        setTimeout(() => window.removeEventListener('click', stop, { capture: true }), 0);
        if (here === undefined || canceled) return undefined;
        if (dragged.kind === 'exercise') {
          dropping.current?.(dragged.id, ids[here - 1] ?? null);
        } else {
          const from = ids.indexOf(dragged.id);
          const to = placeInGap(from, here);
          if (from >= 0 && to !== from) onMove(dragged.id, to);
        }
        return undefined;
      },
    },
    {
      target: frame,
      drag: {
        // A tap is nobody's but the button's; it is told by how far it goes.
        ...{ threshold: 6, filterTaps: false, pointer: { keys: false, capture: false } },
        // A finger scrolls up and down; one that rests a moment takes what lies under it along.
        ...{ preventScroll: restMs, preventScrollAxis: 'y' },
      },
    },
  );
  const places = gapPlaces(plan, axis);
  return (
    <>
      {gap !== undefined && (
        <Box
          data-gap={gap}
          aria-hidden="true"
          position="absolute"
          zIndex={4}
          top="-4px"
          h="62px"
          w="3px"
          bg="fern"
          style={{ left: Math.min(axis.right, Math.max(axis.left, places[gap]!)) - 1.5 }}
          pointerEvents="none"
        />
      )}
      <Shadow ref={shadow} />
    </>
  );
}

/** What is taken from the shelf, at the pointer. */
const Shadow = memo(({ ref }: { readonly ref: Ref<HTMLDivElement> }) => (
  <Box
    ref={ref}
    aria-hidden="true"
    display="none"
    position="fixed"
    zIndex={5}
    left={0}
    top={0}
    px="8px"
    bg="sheet"
    borderWidth="1px"
    borderColor="fern"
    fontSize="13px"
    pointerEvents="none"
  />
));

function stop(event: Event): void {
  event.stopPropagation();
  event.preventDefault();
}
