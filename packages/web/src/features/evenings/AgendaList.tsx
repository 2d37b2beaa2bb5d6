import { Box, Flex, Input } from '@chakra-ui/react';
import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type Modifier,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import {
  agendaKinds,
  mostAgendaItems,
  type AgendaItem,
  type PieceSummary,
} from '@wide-fern/contract';
import { useState } from 'react';
import { PlainSelect } from '../../ui/PlainSelect';
import { Stepper } from '../../ui/Stepper';
import { Label, WordButton, WordLink } from '../../ui/words';
import { clockAfter, moved, newItem, usualItems } from './model/typed';

const upAndDown: Modifier = ({ transform }) => ({ ...transform, x: 0 });

/** What an evening is made of, item by item: order, kind, piece, minutes. */
export function AgendaList({
  agenda,
  start,
  pieces,
  planLink,
  onChange,
}: {
  readonly agenda: readonly AgendaItem[];
  readonly start: string;
  readonly pieces: readonly PieceSummary[];
  /** Where a warm-up is planned; nothing while the evening is not stored. */
  readonly planLink: ((item: string) => string) | undefined;
  readonly onChange: (agenda: AgendaItem[]) => void;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const place = (id: unknown) => agenda.findIndex((item) => item.id === id);
    onChange(moved(agenda, place(active.id), place(over.id)));
  };
  return (
    <Box>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={[upAndDown]}
        onDragEnd={drop}
      >
        <SortableContext items={agenda.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <Box as="ol" listStyleType="none" aria-label="Agenda">
            {agenda.map((item, place) => (
              <AgendaRow
                key={item.id}
                item={item}
                place={place}
                last={place === agenda.length - 1}
                clock={clockAfter(
                  start,
                  agenda.slice(0, place).reduce((sum, { minutes }) => sum + minutes, 0),
                )}
                pieces={pieces}
                planLink={planLink}
                onMove={(by) => onChange(moved(agenda, place, place + by))}
                onChange={(next) =>
                  onChange(agenda.map((one) => (one.id === item.id ? { ...one, ...next } : one)))
                }
                onRemove={() => onChange(agenda.filter(({ id }) => id !== item.id))}
              />
            ))}
          </Box>
        </SortableContext>
      </DndContext>
      {agenda.length < mostAgendaItems ? (
        <Flex gap="14px" wrap="wrap" mt="6px" fontSize="13px" align="center">
          <Label as="span">add</Label>
          {agendaKinds.map((kind) => (
            <WordButton
              key={kind}
              type="button"
              fontSize="13px"
              onClick={() => onChange([...agenda, newItem(agenda, kind)])}
            >
              {usualItems[kind].title.toLowerCase()}
            </WordButton>
          ))}
        </Flex>
      ) : (
        <Label>An evening has at most {mostAgendaItems} items.</Label>
      )}
    </Box>
  );
}

function AgendaRow({
  item,
  place,
  last,
  clock,
  pieces,
  planLink,
  onMove,
  onChange,
  onRemove,
}: {
  readonly item: AgendaItem;
  readonly place: number;
  readonly last: boolean;
  readonly clock: string;
  readonly pieces: readonly PieceSummary[];
  readonly planLink: ((item: string) => string) | undefined;
  readonly onMove: (by: number) => void;
  readonly onChange: (next: Partial<AgendaItem>) => void;
  readonly onRemove: () => void;
}) {
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } =
    useSortable({ id: item.id });
  const { kind, title, minutes, piece, note = '' } = item;
  const isPlanned = kind === 'warm-up' || kind === 'cool-down';
  return (
    <Flex
      as="li"
      ref={setNodeRef}
      gap="10px"
      align="center"
      wrap="wrap"
      borderTopWidth="1px"
      py="5px"
      fontSize="13px"
      bg={isDragging ? 'sheet' : undefined}
      position="relative"
      zIndex={isDragging ? 2 : undefined}
      style={{
        transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined,
        transition: transition ?? undefined,
      }}
    >
      <Box
        ref={setActivatorNodeRef}
        {...listeners}
        cursor="grab"
        w="12px"
        h="20px"
        aria-hidden="true"
        style={{ touchAction: 'none' }}
        borderLeftWidth="2px"
        borderRightWidth="2px"
        borderColor="fern"
        transform="scaleX(0.5)"
      />
      <Box w="44px" color="inkSoft">
        {clock}
      </Box>
      {kind === 'piece' ? (
        <PlainSelect
          label={`Piece of item ${place + 1}`}
          value={piece ?? ''}
          options={[
            { value: '', word: title === usualItems.piece.title ? 'choose a piece' : title },
            ...pieces.map(({ id, title: word }) => ({ value: id, word })),
          ]}
          onChange={(id) => {
            const chosen = pieces.find((one) => one.id === id);
            onChange({
              piece: chosen?.id ?? null,
              title: chosen?.title ?? title,
              bars: null,
            });
          }}
        />
      ) : (
        <Input
          size="xs"
          w="170px"
          bg="sheet"
          aria-label={`Name of item ${place + 1}`}
          value={title}
          maxLength={120}
          onChange={(event) => onChange({ title: event.currentTarget.value })}
        />
      )}
      <Stepper
        label=""
        labelWidth="0"
        name={`Minutes of ${title}`}
        value={minutes}
        limits={[0, 600]}
        step={5}
        unit="min"
        disabled={false}
        onChange={(value) => onChange({ minutes: value })}
      />
      {kind === 'piece' && piece && (
        <BarsField bars={item.bars ?? null} title={title} onChange={(bars) => onChange({ bars })} />
      )}
      <Input
        size="xs"
        flex="1 1 120px"
        minW="90px"
        bg="sheet"
        aria-label={`What is done in ${title}`}
        placeholder="what is done"
        value={note}
        maxLength={200}
        onChange={(event) => onChange({ note: event.currentTarget.value })}
      />
      {isPlanned && planLink && <WordLink to={planLink(item.id)}>plan it</WordLink>}
      <WordButton
        type="button"
        fontSize="13px"
        aria-label={`${title}: earlier`}
        disabled={place === 0}
        onClick={() => onMove(-1)}
      >
        earlier
      </WordButton>
      <WordButton
        type="button"
        fontSize="13px"
        aria-label={`${title}: later`}
        disabled={last}
        onClick={() => onMove(1)}
      >
        later
      </WordButton>
      <WordButton
        type="button"
        fontSize="13px"
        aria-label={`Leave ${title} out`}
        onClick={onRemove}
      >
        leave out
      </WordButton>
    </Flex>
  );
}

/** Which bars of a piece are sung: «17-40», or all of it. */
function BarsField({
  bars,
  title,
  onChange,
}: {
  readonly bars: readonly [number, number] | null;
  readonly title: string;
  readonly onChange: (bars: [number, number] | null) => void;
}) {
  const written = bars ? `${bars[0]}–${bars[1]}` : '';
  const [typed, setTyped] = useState<string>();
  const read = (text: string): [number, number] | null | undefined => {
    if (text.trim() === '') return null;
    const [, from, to] = /^\s*(\d{1,5})\s*(?:[-–]\s*(\d{1,5}))?\s*$/.exec(text) ?? [];
    if (from === undefined) return undefined;
    const [a, b] = [Number(from), Number(to ?? from)];
    return a <= b ? [a, b] : undefined;
  };
  const wrong = typed !== undefined && read(typed) === undefined;
  const take = () => {
    if (typed === undefined) return;
    const now = read(typed);
    if (now !== undefined) onChange(now);
    setTyped(undefined);
  };
  return (
    <Flex gap="4px" align="center">
      <Label as="span">bars</Label>
      <Input
        size="xs"
        w="72px"
        bg="sheet"
        aria-label={`Bars of ${title} that are sung`}
        aria-invalid={wrong}
        placeholder="all"
        value={typed ?? written}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            event.preventDefault();
            take();
          }
        }}
      />
      {wrong && (
        <Box role="alert" color="brick">
          Bars like 17-40, or nothing for all.
        </Box>
      )}
    </Flex>
  );
}
