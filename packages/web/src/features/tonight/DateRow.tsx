import { Box, Flex } from '@chakra-ui/react';
import type { EveningSummary } from '@wide-fern/contract';
import { dayInWords, shortDay } from '@wide-fern/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { Name, WordButton, WordLink } from '../../ui/words';
import { around } from '../../here/dates';

/** Older and later evenings in a row; each leads to its plan. */
export function DateRow({
  evenings,
  current,
  timeZone,
  room,
  mayEdit,
}: {
  readonly evenings: readonly EveningSummary[];
  readonly current: string | undefined;
  readonly timeZone: string;
  readonly room: number;
  readonly mayEdit: boolean;
}) {
  const home = Math.max(
    0,
    evenings.findIndex(({ id }) => id === current),
  );
  const [moved, setMoved] = useState(0);
  const { row, before, after } = around(evenings, home + moved, room);
  return (
    <Flex
      as="nav"
      aria-label="Evenings"
      mt="auto"
      minH="48px"
      borderTopWidth="1px"
      px={{ base: '16px', md: '40px' }}
      align="stretch"
      justify="space-between"
      gap="8px"
      bg="sheet"
      fontSize="13px"
      overflowX="auto"
      flexShrink={0}
    >
      {before && (
        <WordButton fontSize="13px" onClick={() => setMoved(Math.max(-home, moved - row.length))}>
          earlier
        </WordButton>
      )}
      {row.map(({ id, name, startsAt }) => {
        const isCurrent = id === current;
        const date = (isCurrent ? dayInWords : shortDay)(startsAt, timeZone);
        return (
          <Box
            key={id}
            asChild
            display="flex"
            alignItems="center"
            whiteSpace="nowrap"
            color={isCurrent ? 'fern' : 'inkSoft'}
            fontWeight={isCurrent ? 700 : 400}
            borderBottomWidth="3px"
            borderTopWidth="3px"
            borderColor="transparent"
            borderBottomColor={isCurrent ? 'fern' : 'transparent'}
            _hover={{ color: 'ink' }}
          >
            <Link to={`/evenings/${id}/plan`} aria-current={isCurrent ? 'date' : undefined}>
              {name ? (
                <Name as="span" color="ink">
                  {date}, {name}
                </Name>
              ) : (
                date
              )}
            </Link>
          </Box>
        );
      })}
      {after && (
        <WordButton
          fontSize="13px"
          onClick={() => setMoved(Math.min(evenings.length - 1 - home, moved + row.length))}
        >
          later
        </WordButton>
      )}
      {mayEdit && (
        <WordLink to="/evenings/new" alignSelf="center" whiteSpace="nowrap">
          add an evening
        </WordLink>
      )}
    </Flex>
  );
}
