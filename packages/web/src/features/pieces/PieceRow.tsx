import { Box, Flex } from '@chakra-ui/react';
import type { PieceSummary } from '@wide-fern/contract';
import type { Section, NoteWriting } from '@wide-fern/core';
import { Link } from 'react-router';
import { Label, Name } from '../../ui/words';
import { RangeStems } from './drawing/RangeStems';
import { dayInWords, sizeInWords } from '@wide-fern/words';

/** How high a row is whose stems stand below its name, in px. */
export const stackedHeight = 114;

/** A piece in the list: its name, what it asks of each part, how long it is, when it is on, its target. */
export function PieceRow({
  piece,
  sections,
  writing,
  timeZone,
  wide,
  stacked,
}: {
  readonly piece: PieceSummary;
  readonly sections: readonly Section[];
  readonly writing: NoteWriting;
  readonly timeZone: string;
  readonly wide: boolean;
  /** Whether its stems stand below its name, for want of width. */
  readonly stacked: boolean;
}) {
  const { id, title, composer, ranges, transpose, bars, seconds, next, target, awaited } = piece;
  return (
    <Box
      asChild
      display="block"
      h={stacked ? `${stackedHeight - 1}px` : '63px'}
      borderBottomWidth="1px"
      _hover={{ bg: 'sheet' }}
      _focusVisible={{ outline: '2px solid', outlineColor: 'fern', outlineOffset: '-2px' }}
    >
      <Link to={`/pieces/${id}`}>
        <Flex
          align={stacked ? 'stretch' : 'center'}
          direction={stacked ? 'column' : 'row'}
          gap={stacked ? '4px' : '20px'}
          h="100%"
          px="8px"
          py={stacked ? '6px' : 0}
        >
          <Box flex={stacked ? undefined : '1 1 260px'} minW={0}>
            <Name fontSize="18px" truncate>
              {title}
            </Name>
            <Label truncate>
              {awaited && <b>your card is awaited · </b>}
              {[composer, bars !== null && sizeInWords(bars, seconds ?? 0)]
                .filter((one) => one !== '' && one !== false)
                .join(' · ') || 'typed by hand'}
            </Label>
          </Box>
          <RangeStems ranges={ranges} transpose={transpose} sections={sections} writing={writing} />
          {wide && (
            <>
              <Label w="110px">{next ? dayInWords(next, timeZone) : 'not planned'}</Label>
              <Box w="220px" fontSize="13px">
                {target && (
                  <>
                    next target: <b>{target.skill}</b>
                    {target.last !== undefined && `, ${target.last} of 5`}
                  </>
                )}
              </Box>
            </>
          )}
        </Flex>
      </Link>
    </Box>
  );
}
