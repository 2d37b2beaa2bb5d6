import { Box, Flex } from '@chakra-ui/react';
import { managing, type Managing } from '@wide-fern/core';
import { managedWords, type Happened } from '@wide-fern/words';
import { Label, Name, WordButton } from '../../ui/words';

/** One exercise as it was led, and how many managed it in one touch. */
function Row({
  one,
  onManaged,
}: {
  readonly one: Happened;
  /** Nothing where it is only looked at. */
  readonly onManaged: ((how: Managing) => void) | undefined;
}) {
  const { name, planned, real, times, keys, noticed } = one;
  return (
    <Box as="li" listStyleType="none" py="8px" borderTopWidth="1px" borderColor="line">
      <Flex justify="space-between" gap="16px" align="baseline" wrap="wrap">
        <Name as="h2" fontSize="24px">
          {name}
        </Name>
        <Box fontSize="20px">
          {real === null ? 'not led' : real}{' '}
          <Box as="span" color="inkSoft">
            planned {planned}
          </Box>
        </Box>
      </Flex>
      {real !== null && (
        <>
          <Label fontSize="18px">{[times, keys].filter((words) => words !== '').join(' · ')}</Label>
          {noticed && <Box fontSize="18px">{noticed}</Box>}
          {onManaged && (
            <Flex columnGap="20px" wrap="wrap">
              {managing.map((how) => (
                <WordButton
                  key={how}
                  minH="44px"
                  fontSize="18px"
                  aria-label={`${name}: ${managedWords[how]}`}
                  onClick={() => onManaged(how)}
                >
                  {managedWords[how]}
                </WordButton>
              ))}
            </Flex>
          )}
        </>
      )}
    </Box>
  );
}

/** What happened of each exercise, in the plan's order. */
export function HappenedList({
  rows,
  onManaged,
}: {
  readonly rows: readonly Happened[];
  readonly onManaged?: (segment: string, how: Managing) => void;
}) {
  return (
    <Box as="ol" aria-label="What happened" p={0}>
      {rows.map((one) => (
        <Row key={one.id} one={one} onManaged={onManaged && ((how) => onManaged(one.id, how))} />
      ))}
    </Box>
  );
}
