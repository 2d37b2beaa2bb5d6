import { Box } from '@chakra-ui/react';
import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type Modifier,
} from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import type { NoteWriting, PlaceNeed } from '@wide-fern/core';
import { isTooLong, keyPath, notPossibleInWords, wordingFor } from '@wide-fern/words';
import type { ReactNode } from 'react';
import { StripItem } from './StripItem';
import type { TimeAxis } from '../../music/lanes/geometry';
import type { EvaluatedPlan } from '@wide-fern/plan';

const alongTheStrip: Modifier = ({ transform }) => ({ ...transform, y: 0 });

/** Arrows lead from one segment to the next; to the first and the last by their own keys. */
const places: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  Home: -Infinity,
  End: Infinity,
};

/** The segments in order and to scale; they are chosen here, and dragged to another place. */
export function SegmentStrip({
  plan,
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
  readonly plan: EvaluatedPlan;
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
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const ids = plan.segments.map(({ segment }) => segment.id);
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(String(active.id), ids.indexOf(String(over.id)));
  };
  const end = axis.x(plan.total);
  return (
    <Box position="relative" h="54px">
      <Box
        position="absolute"
        left={axis.left > 80 ? '24px' : '16px'}
        top="12px"
        color="inkSoft"
        fontSize="12px"
      >
        {label}
      </Box>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={[alongTheStrip]}
        onDragEnd={drop}
        autoScroll={false}
      >
        <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
          <Box
            as="ol"
            aria-label="Segments"
            display="flex"
            position="absolute"
            left={`${axis.left}px`}
            top={0}
            borderTopWidth="1px"
            listStyleType="none"
            onKeyDown={(event) => {
              const by = places[event.key];
              if (by === undefined || event.shiftKey) return;
              event.preventDefault();
              onGo(by);
            }}
          >
            {plan.segments.map((evaluated, i) => {
              const { segment, computed } = evaluated;
              const wording = wordingFor(plan.document.tonight.sections, segment, writing);
              return (
                <StripItem
                  key={segment.id}
                  evaluated={evaluated}
                  place={i + 1}
                  width={axis.x(computed.placed.to) - axis.x(computed.placed.from)}
                  bandsWording={{ path: keyPath(computed.keys, wording) }}
                  not={notPossibleInWords(segment.exercise.needs, forbids)}
                  isChosen={segment.id === chosen}
                  isAlso={segment.id !== chosen && also.includes(segment.id)}
                  mayEdit={mayEdit}
                  onChoose={(beside) => onChoose(segment.id, beside)}
                  onResize={(repetitions) => onResize(segment.id, repetitions)}
                  onTalk={(seconds) => onTalk(segment.id, seconds)}
                />
              );
            })}
          </Box>
        </SortableContext>
      </DndContext>
      <Box
        position="absolute"
        left={`${end}px`}
        right={`calc(100% - ${axis.right}px)`}
        top={0}
        h="54px"
        borderTopWidth="1px"
        borderLeftWidth="2px"
        borderLeftColor={isTooLong(plan) ? 'brick' : 'fern'}
        fontSize="12px"
        pl="8px"
        pt="5px"
        overflow="hidden"
      >
        {free}
      </Box>
    </Box>
  );
}
