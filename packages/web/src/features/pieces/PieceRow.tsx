import { Box, Flex } from '@chakra-ui/react';
import type { PieceSummary } from '@wide-fern/contract';
import type { Section, AccidentalPreference } from '@wide-fern/core';
import { Link } from 'react-router';
import { Label, Name } from '../../ui/words';
import { RangeStems } from './drawing/RangeStems';
import { sizeInWords } from '@wide-fern/words';

/** A piece in the list: its name, what it asks of each part, how long it is, when it is on, its target. */
export function PieceRow({
  piece,
  sections,
  accidentals,
  timeZone,
  wide,
}: {
  readonly piece: PieceSummary;
  readonly sections: readonly Section[];
  readonly accidentals: AccidentalPreference;
  readonly timeZone: string;
  readonly wide: boolean;
}) {
  const { id, title, composer, ranges, transpose, bars, seconds, next, target } = piece;
  const date = (moment: string) =>
    new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'short', day: 'numeric', month: 'short' })
      .format(new Date(moment))
      .replace(',', '');
  return (
    <Box
      asChild
      display="block"
      h="63px"
      borderBottomWidth="1px"
      _hover={{ bg: 'sheet' }}
      _focusVisible={{ outline: '2px solid', outlineColor: 'fern', outlineOffset: '-2px' }}
    >
      <Link to={`/pieces/${id}`}>
        <Flex align="center" gap="20px" h="100%" px="8px">
          <Box flex="1 1 260px" minW={0}>
            <Name fontSize="18px" truncate>
              {title}
            </Name>
            <Label truncate>
              {[composer, bars !== null && sizeInWords(bars, seconds ?? 0)]
                .filter((one) => one !== '' && one !== false)
                .join(' · ') || 'typed by hand'}
            </Label>
          </Box>
          <RangeStems
            ranges={ranges}
            transpose={transpose}
            sections={sections}
            accidentals={accidentals}
          />
          {wide && (
            <>
              <Label w="110px">{next ? date(next) : 'not planned'}</Label>
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
