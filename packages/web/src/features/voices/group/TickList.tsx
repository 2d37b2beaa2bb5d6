import { Box, Flex } from '@chakra-ui/react';
import type { Singer } from '@wide-fern/contract';
import { noteChangeOf, tick, type GroupCheck } from '@wide-fern/core';
import { LongList } from '../../../ui/LongList';
import { usePageHeight } from '../../../ui/useSize';

const rowHeight = 46;
/** A name and its word need so much, in px. */
const columnWidth = 250;

/** Everybody of a check of many, in as many columns as there is room for, to be ticked by thumb. */
export function TickList({
  check,
  singers,
  isOut,
  width,
  onChange,
}: {
  readonly check: GroupCheck;
  readonly singers: readonly Singer[];
  readonly isOut: (id: string) => boolean;
  readonly width: number;
  readonly onChange: (next: GroupCheck) => void;
}) {
  const pageHeight = usePageHeight();
  const names = new Map(singers.map(({ id, name }) => [id, name]));
  const columns = Math.max(1, Math.floor(width / columnWidth));
  const rows = Array.from({ length: Math.ceil(check.singers.length / columns) }, (_, i) =>
    check.singers.slice(i * columns, (i + 1) * columns),
  );
  return (
    <LongList
      items={rows}
      label="Who still sings"
      rowHeight={rowHeight}
      mostHeight={rowHeight * Math.max(8, Math.floor((pageHeight - 330) / rowHeight))}
      keyOf={([first]) => first!}
    >
      {(ids) => (
        <Flex gap="8px">
          {ids.map((id) => (
            <OneSinger
              key={id}
              name={names.get(id) ?? 'not on the roster any more'}
              isOut={isOut(id)}
              changesHere={check.changes[id]?.includes(check.note) ?? false}
              onTick={() => onChange(tick(check, id))}
              onChanges={() => onChange(noteChangeOf(check, id))}
            />
          ))}
          {Array.from({ length: columns - ids.length }, (_, i) => (
            <Box key={i} flex="1" />
          ))}
        </Flex>
      )}
    </LongList>
  );
}

function OneSinger({
  name,
  isOut,
  changesHere,
  onTick,
  onChanges,
}: {
  readonly name: string;
  readonly isOut: boolean;
  readonly changesHere: boolean;
  readonly onTick: () => void;
  readonly onChanges: () => void;
}) {
  const faint = isOut ? 'inkSoft' : 'ink';
  return (
    <Flex flex="1" minW={0} h="44px" borderWidth="1px" bg="sheet">
      <Box asChild flex="1" minW={0} textAlign="left" px="8px" truncate>
        <button type="button" aria-pressed={isOut} onClick={onTick}>
          <Box as="span" color={faint} textDecoration={isOut ? 'line-through' : undefined}>
            {name}
          </Box>
          {isOut && (
            <Box as="span" color="inkSoft" fontSize="13px">
              {' '}
              dropped out
            </Box>
          )}
        </button>
      </Box>
      <Box
        asChild
        px="8px"
        fontSize="13px"
        flexShrink={0}
        borderLeftWidth="1px"
        color={changesHere ? 'fern' : 'inkSoft'}
        fontWeight={changesHere ? 650 : 400}
        bg={changesHere ? 'fern/13' : undefined}
      >
        <button
          type="button"
          aria-pressed={changesHere}
          aria-label={`${name}: the voice changes here`}
          onClick={onChanges}
        >
          changes
        </button>
      </Box>
    </Flex>
  );
}
