import { Box } from '@chakra-ui/react';
import type { NoteWriting, PlaceNeed } from '@wide-fern/core';
import { isTooLong, notPossibleInWords } from '@wide-fern/words';
import { memo, type ReactNode, type RefObject } from 'react';
import type { Dropping } from './drawing/Dragging';
import { lazily } from '../../ui/lazily';
import { color } from '../../ui/color';
import { StripItem, type StripActs } from './StripItem';
import type { TimeAxis } from '../../music/lanes/geometry';
import type { EvaluatedPlan } from '@wide-fern/plan';

/** What is dragged comes right behind what is seen. */
const Dragging = lazily(() =>
  import('./drawing/Dragging').then((it) => ({ default: it.Dragging })),
);

/** Arrows lead from one segment to the next; to the first and the last by their own keys. */
const places: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  Home: -Infinity,
  End: Infinity,
};

/** The segments in order and to scale; they are chosen here, and dragged to another place. */
export function SegmentStrip({
  frame,
  dropping,
  plan,
  still,
  axis,
  label,
  chosen,
  also,
  mayEdit,
  writing,
  forbids,
  onChoose,
  onGo,
  onMove,
  onResize,
  onTalk,
  free,
}: {
  /** What holds the strip and what is dragged to it. */
  readonly frame: RefObject<HTMLElement | null>;
  readonly dropping: RefObject<Dropping | undefined>;
  readonly plan: EvaluatedPlan;
  /** The plan, and while something is pulled what it was before. */
  readonly still: EvaluatedPlan;
  readonly axis: TimeAxis;
  readonly label: ReactNode;
  readonly chosen: string | null;
  /** Chosen beside it. */
  readonly also: readonly string[];
  readonly mayEdit: boolean;
  readonly writing: NoteWriting;
  /** What the place does not allow. */
  readonly forbids: readonly PlaceNeed[];
  /** Chooses one; beside what is chosen already where that is meant. */
  readonly onChoose: (segment: string, beside: boolean) => void;
  /** To another segment, so many places on. */
  readonly onGo: (by: number) => void;
  readonly onMove: (segment: string, to: number) => void;
  readonly onResize: (segment: string, repetitions: number) => void;
  readonly onTalk: (segment: string, seconds: number) => void;
  /** What stands in the time left over. */
  readonly free: ReactNode;
}) {
  const acts: StripActs = { choose: onChoose, resize: onResize, talk: onTalk };
  const end = axis.x(plan.total);
  return (
    // What is drawn with every movement of a hand has its style on the element itself: a rule for each measure
    // would have the whole page's style worked out anew.
    <div style={{ position: 'relative', minHeight: 54 }} data-strip>
      <StripLabel left={axis.left > 80 ? '24px' : '16px'}>{label}</StripLabel>
      <div
        style={{
          position: 'absolute',
          top: 0,
          height: 56,
          left: axis.left,
          width: Math.max(0, axis.right - axis.left),
          // What lies outside the view is not seen; handles may stand out above and below.
          ...(axis.x(0) < axis.left || end > axis.right + 0.5 ? { clipPath: 'inset(-6px 0)' } : {}),
        }}
      >
        <ol
          aria-label="Segments"
          style={{
            ...{ display: 'flex', position: 'absolute', top: 0, left: axis.x(0) - axis.left },
            ...{ borderTopWidth: 1, listStyleType: 'none' },
          }}
          onKeyDown={(event) => {
            const by = places[event.key];
            if (by === undefined || event.shiftKey) return;
            event.preventDefault();
            onGo(by);
          }}
        >
          {plan.segments.map((evaluated, i) => {
            const { segment, computed } = evaluated;
            return (
              <StripItem
                key={segment.id}
                evaluated={evaluated}
                place={i + 1}
                width={axis.x(computed.placed.to) - axis.x(computed.placed.from)}
                before={Math.max(0, axis.left - axis.x(computed.placed.from))}
                behind={Math.max(0, axis.x(computed.placed.to) - axis.right)}
                sections={plan.document.tonight.sections}
                writing={writing}
                not={notPossibleInWords(segment.exercise.needs, forbids)}
                isChosen={segment.id === chosen}
                isAlso={segment.id !== chosen && also.includes(segment.id)}
                mayEdit={mayEdit}
                acts={acts}
              />
            );
          })}
        </ol>
      </div>
      {mayEdit && <Dragging {...{ frame, axis, dropping, onMove }} plan={still} />}
      <div
        hidden={end > axis.right || end < axis.left}
        style={{
          ...{ position: 'absolute', top: 0, left: end, right: `calc(100% - ${axis.right}px)` },
          ...{ height: 54, borderTopWidth: 1, borderLeftWidth: 2 },
          borderLeftColor: color(isTooLong(plan) ? 'brick' : 'fern'),
          ...{ fontSize: 12, paddingLeft: 8, paddingTop: 5, overflow: 'hidden' },
        }}
      >
        {free}
      </div>
    </div>
  );
}

/** What stands before the strip; where it is higher, what lies below makes room. */
const StripLabel = memo(
  ({ left, children }: { readonly left: string; readonly children: ReactNode }) => (
    <Box
      w="max-content"
      ml={left}
      pt="4px"
      color="inkSoft"
      fontSize="12px"
      lineHeight="16px"
      css={{ '& button': { lineHeight: '16px' } }}
    >
      {children}
    </Box>
  ),
);
