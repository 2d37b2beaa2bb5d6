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
import { horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import type { AgendaItem, StoreEvening } from '@wide-fern/contract';
import type { KeyboardEvent } from 'react';
import { Name } from '../../../ui/words';
import { clockInWords } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { clockAfter } from '../model/typed';
import { lazily } from '../../../ui/lazily';
import { beginnings, clockTicks, type EveningScale } from './scale';

/** What an end is dragged by comes right behind the page. */
const EndGrip = lazily(() => import('./EndGrip').then((it) => ({ default: it.EndGrip })));

const height = 74;
const along: Modifier = ({ transform }) => ({ ...transform, y: 0 });

/** The evening to scale: items are chosen and moved where they stand, and their ends dragged in whole minutes. */
export function EveningClock({
  evening,
  scale,
  chosen,
  onChoose,
  onMove,
  onMinutes,
}: {
  readonly evening: StoreEvening;
  readonly scale: EveningScale;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  readonly onMove: (from: number, to: number) => void;
  readonly onMinutes: (id: string, minutes: number) => void;
}) {
  const { clock } = useHere().choir;
  const { agenda } = evening;
  const from = beginnings(agenda);
  const ids = agenda.map(({ id }) => id);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id)
      onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  return (
    <Box position="relative" h={`${height + 28}px`}>
      {clockTicks(evening, scale, clock).map(({ x, words, isEnd }) => (
        <Box
          key={x}
          position="absolute"
          top="2px"
          left={`${x}px`}
          transform={isEnd ? 'translateX(-100%)' : undefined}
          fontSize="12px"
          color="inkSoft"
          lineHeight="16px"
          borderLeftWidth={isEnd ? 0 : '1px'}
          pl="3px"
        >
          {words}
        </Box>
      ))}
      <Box
        position="absolute"
        left={`${scale.left}px`}
        w={`${scale.x(scale.length) - scale.left}px`}
        top="24px"
        h={`${height}px`}
        borderWidth="1px"
        borderStyle="dashed"
        aria-hidden="true"
      />
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={[along]}
        onDragEnd={drop}
        autoScroll={false}
      >
        <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
          <Box
            as="ol"
            aria-label="Agenda"
            listStyleType="none"
            display="flex"
            position="absolute"
            top="24px"
            left={`${scale.left}px`}
          >
            {agenda.map((item, i) => (
              <ClockItem
                key={item.id}
                item={item}
                begins={clockInWords(clockAfter(evening.start, from[i]!), clock)}
                width={item.minutes * scale.pxPerMinute}
                pxPerMinute={scale.pxPerMinute}
                isChosen={item.id === chosen}
                onChoose={() => onChoose(item.id)}
                onMove={(by) => onMove(i, i + by)}
                onMinutes={(minutes) => onMinutes(item.id, minutes)}
              />
            ))}
          </Box>
        </SortableContext>
      </DndContext>
      {scale.used > scale.length && (
        <Box
          position="absolute"
          left={`${scale.x(scale.length)}px`}
          top="18px"
          h={`${height + 10}px`}
          borderLeftWidth="2px"
          borderColor="brick"
          aria-hidden="true"
        />
      )}
    </Box>
  );
}

const quiet = new Set<AgendaItem['kind']>(['break', 'notices', 'arrival']);

function ClockItem({
  item: { id, kind, title, minutes, note = '' },
  begins,
  width,
  pxPerMinute,
  isChosen,
  onChoose,
  onMove,
  onMinutes,
}: {
  readonly item: AgendaItem;
  readonly begins: string;
  readonly width: number;
  readonly pxPerMinute: number;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly onMove: (by: number) => void;
  readonly onMinutes: (minutes: number) => void;
}) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id });
  const isWarm = kind === 'warm-up' || kind === 'cool-down';
  const move = (event: KeyboardEvent) => {
    if (!event.shiftKey || (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight')) return;
    event.preventDefault();
    onMove(event.key === 'ArrowLeft' ? -1 : 1);
  };
  return (
    <Box
      as="li"
      ref={setNodeRef}
      w={`${width}px`}
      h={`${height}px`}
      flexShrink={0}
      position="relative"
      zIndex={isDragging ? 3 : isChosen ? 2 : undefined}
      style={{
        transform: transform ? `translate3d(${transform.x}px, 0, 0)` : undefined,
        transition: transition ?? undefined,
      }}
    >
      <Box
        as="button"
        data-drawn
        {...{ type: 'button' }}
        data-item={id}
        aria-current={isChosen ? 'true' : undefined}
        aria-label={`${title}, ${begins}, ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`}
        onClick={onChoose}
        onKeyDown={move}
        {...listeners}
        w="100%"
        h="100%"
        textAlign="left"
        overflow="hidden"
        px={width > 36 ? '7px' : '1px'}
        py="6px"
        bg={isWarm ? 'fern/10' : quiet.has(kind) ? 'sunk' : 'sheet'}
        borderWidth={isChosen ? '2px' : '1px'}
        borderColor={isChosen ? 'fern' : 'line'}
        fontSize="12px"
        lineHeight="15px"
        cursor="grab"
        touchAction="pan-y"
        display="flex"
        flexDirection="column"
        justifyContent="space-between"
      >
        {width > 36 && (
          <Name as="span" fontSize="13px" lineHeight="16px" lineClamp={width > 90 ? 2 : 1}>
            {title}
          </Name>
        )}
        {width > 22 && (
          <Box as="span" display="flex" justifyContent="space-between" gap="6px">
            <Box as="span" color="inkSoft" truncate>
              {width > 130 ? note : ''}
            </Box>
            <Box as="span" fontWeight={650} whiteSpace="nowrap">
              {minutes}
              {width > 60 ? ' min' : ''}
            </Box>
          </Box>
        )}
      </Box>
      <EndGrip
        title={title}
        minutes={minutes}
        pxPerMinute={pxPerMinute}
        isShown={isChosen}
        onMinutes={onMinutes}
      />
    </Box>
  );
}
