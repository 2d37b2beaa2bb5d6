import { Box } from '@chakra-ui/react';
import type { Singer } from '@wide-fern/contract';
import { noteName, type NoteWriting, type PitchRange } from '@wide-fern/core';
import { listInWords, stateWords } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { hueOf } from '../../../ui/color';

const range = (of: PitchRange | null, writing: NoteWriting): string =>
  of ? `${noteName(of[0], writing)}–${noteName(of[1], writing)}` : 'not known';

/** A singer in the list of the roster. */
export function SingerRow({
  singer,
  place,
  isOpen,
  onOpen,
}: {
  readonly singer: Singer;
  /** Of the singer's part among the choir's. */
  readonly place: number;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}) {
  const { choir } = useHere();
  return (
    <Box
      asChild
      w="100%"
      h="31px"
      display="flex"
      alignItems="center"
      gap="12px"
      borderBottomWidth="1px"
      textAlign="left"
      fontSize="13px"
      bg={isOpen ? 'fern/13' : undefined}
      color={singer.onLeave ? 'inkSoft' : 'ink'}
    >
      <button type="button" onClick={onOpen}>
        <Box
          as="span"
          w="32px"
          fontWeight={700}
          style={{
            color: singer.part === null ? undefined : hueOf(singer.part, place),
          }}
        >
          {singer.part ?? '?'}
        </Box>
        <Box as="span" flex="2" minW={0} truncate fontSize="15px">
          {singer.name}
        </Box>
        <Box as="span" w="76px" whiteSpace="nowrap">
          {range(singer.comfort, choir.writing)}
        </Box>
        <Box as="span" w="76px" whiteSpace="nowrap" color="inkSoft" hideBelow="md">
          {range(singer.reach, choir.writing)}
        </Box>
        <Box as="span" flex="2" minW={0} truncate color="inkSoft" hideBelow="md">
          {[
            singer.onLeave ? 'on leave' : '',
            singer.part === null ? 'part not decided' : '',
            ...singer.states.map((state) => stateWords[state]),
            singer.also.length > 0 ? `also ${listInWords(singer.also)}` : '',
            singer.notes,
          ]
            .filter((words) => words !== '')
            .join(' · ')}
        </Box>
      </button>
    </Box>
  );
}
