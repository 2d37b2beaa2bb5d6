import { Box, Flex } from '@chakra-ui/react';
import type { ChoirPart, Singer } from '@wide-fern/contract';
import { possibleParts, type GroupCheck } from '@wide-fern/core';
import { partFitInWords, rangeInFigures } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { LongList } from '../../../ui/LongList';
import { MainButton } from '../../../ui/MainButton';
import { Label, WordButton } from '../../../ui/words';
import { foundInGroup, type FoundSinger, type GroupChecking } from './useGroupCheck';

/** What was found for each in the room, with the parts it suits: suggested, and decided by who leads. */
export function RoomFound({
  check,
  group: { keep, undo },
  singers,
  parts,
}: {
  readonly check: GroupCheck;
  readonly group: GroupChecking;
  readonly singers: readonly Singer[];
  readonly parts: readonly ChoirPart[];
}) {
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const found = foundInGroup(check, singers);
  /** Whoever has a part keeps it until it is decided otherwise. */
  const partOf = ({ singer, comfort }: FoundSinger): string =>
    chosen[singer.id] ?? singer.part ?? possibleParts(comfort, parts)[0].part;
  const keepFound = () =>
    keep.send(
      found.map((one) => ({
        ...{ singer: one.singer.id, comfort: one.comfort, reach: one.reach },
        ...{ changes: [...one.changes], lightTop: null, means: 'room' as const },
        part: partOf(one),
      })),
    );
  return (
    <>
      <Box role="status" my="8px">
        Found for {found.length} of {check.singers.length}.{' '}
        {found.length < check.singers.length && 'Who found no note easy keeps what is known. '}
        Near a border both parts stand there; a note or two at an end decide nothing.
      </Box>
      <LongList
        items={found}
        label="What was found, and the parts it suits"
        rowHeight={64}
        mostHeight={512}
        keyOf={({ singer }) => singer.id}
      >
        {(one) => (
          <FoundRow
            one={one}
            parts={parts}
            part={partOf(one)}
            onPart={(part) => setChosen({ ...chosen, [one.singer.id]: part })}
          />
        )}
      </LongList>
      <Flex gap="16px" align="center" mt="12px" wrap="wrap">
        <MainButton disabled={keep.isBusy || found.length === 0} onClick={keepFound}>
          Keep the ranges and the parts
        </MainButton>
        <WordButton onClick={undo.act} disabled={!undo.can}>
          undo
        </WordButton>
      </Flex>
      {keep.failed && (
        <Box role="alert" color="brick" fontSize="13px" mt="8px">
          {keep.failed}
        </Box>
      )}
    </>
  );
}

function FoundRow({
  one: { singer, comfort },
  parts,
  part,
  onPart,
}: {
  readonly one: FoundSinger;
  readonly parts: readonly ChoirPart[];
  readonly part: string;
  readonly onPart: (part: string) => void;
}) {
  const { writing } = useHere().choir;
  const possible = possibleParts(comfort, parts);
  const oneOf = (id: string) => parts.find((each) => each.id === id)!;
  const why = partFitInWords(possible[0], oneOf(possible[0].part), writing);
  const suits = possible.map(({ part: id }) => oneOf(id).one).join(' or ');
  return (
    <Flex h="64px" align="center" gap="12px" borderBottomWidth="1px">
      <Box flex="2" minW={0}>
        <Box truncate>{singer.name}</Box>
        <Label truncate hideBelow="md">
          {why}
        </Label>
        <Label truncate hideFrom="md">
          suits {suits}
        </Label>
      </Box>
      <Box flex="1" minW={0} hideBelow="md">
        {suits}
      </Box>
      <Box w="84px" whiteSpace="nowrap">
        {rangeInFigures(comfort, writing)}
      </Box>
      <Box
        asChild
        bg="sheet"
        borderWidth="1px"
        borderRadius="3px"
        w={{ base: '112px', md: '160px' }}
        h="44px"
        fontSize="15px"
      >
        <select
          aria-label={`Part of ${singer.name}`}
          value={part}
          onChange={(event) => onPart(event.currentTarget.value)}
        >
          {parts.map(({ id, one }) => (
            <option key={id} value={id}>
              {one}
              {id === singer.part ? ', as now' : id === possible[0].part ? ', suggested' : ''}
            </option>
          ))}
        </select>
      </Box>
    </Flex>
  );
}
