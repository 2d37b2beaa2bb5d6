import { Box, Flex } from '@chakra-ui/react';
import type { PieceAnalysis, Section } from '@wide-fern/core';
import { partFacts } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { hueOf } from '../../../ui/color';
import { PartLane } from './PartLane';

/** What a score asks of one part: its lane, and the facts that matter. */
export function AskedOfPart({
  part,
  sections,
  longest,
  isFirst,
  note,
}: {
  readonly part: PieceAnalysis['parts'][number];
  readonly sections: readonly Section[];
  /** The longest time on one note of any part, for the scale. */
  readonly longest: number;
  /** Whether it stands at the left edge. */
  readonly isFirst: boolean;
  /** What the piece's notes are called. */
  readonly note: (midi: number) => string;
}) {
  const { writing } = useHere().choir;
  const place = sections.findIndex(({ id }) => id === part.part);
  return (
    <Flex
      gap="8px"
      position="relative"
      borderLeftWidth={isFirst ? 0 : '1px'}
      pl={isFirst ? 0 : '6px'}
    >
      <Box
        position="absolute"
        left={isFirst ? 0 : '12px'}
        top="-2px"
        fontSize="18px"
        fontWeight={700}
        style={{ color: hueOf(part.part, place) }}
        aria-hidden="true"
      >
        {part.part}
      </Box>
      <PartLane
        part={part}
        band={sections[place]!}
        place={place}
        longest={longest}
        writing={writing}
        note={note}
      />
      <Box as="ul" listStyleType="none" fontSize="13px" lineHeight="17px">
        {partFacts(part, note).map(({ words, matters }) => (
          <Box as="li" key={words} fontWeight={matters ? 650 : 400} mb="4px">
            {words}
          </Box>
        ))}
        {part.highestWords && (
          <Box as="li" color="inkSoft" lineClamp={2}>
            highest on “{part.highestWords}”
          </Box>
        )}
      </Box>
    </Flex>
  );
}
