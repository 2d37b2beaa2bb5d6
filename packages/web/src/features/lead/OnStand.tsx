import { Box, Flex } from '@chakra-ui/react';
import { Name } from '../../ui/words';
import { StandView } from './StandView';
import type { Shown } from './useShown';

/** What stands on the screen, whoever touches it: the line above, and what is sung now. */
export function OnStand({
  stand,
  time,
  settled,
  plan,
  present,
  since,
  isSilent = false,
}: Shown & {
  /** Seconds since what is going on began; below 0 while it is explained. */
  readonly since: () => number;
  /** Whether what leads itself is shown as its shape alone. */
  readonly isSilent?: boolean;
}) {
  return (
    <>
      <Flex
        as="header"
        align="baseline"
        justify="space-between"
        gap="4px 24px"
        wrap="wrap"
        px={{ base: '20px', md: '40px' }}
        py={{ base: '10px', md: '16px' }}
        borderBottomWidth={{ md: '1px' }}
        borderColor="line"
      >
        <Flex align="baseline" gap="20px" minW={0}>
          <Name as="h1" fontSize={{ base: '28px', md: '40px' }} lineHeight="1.2">
            {stand?.name ?? 'Ready'}
          </Name>
          <Box color="inkSoft" fontSize={{ base: '20px', md: '28px' }} whiteSpace="nowrap">
            {stand ? stand.place : `${plan.segments.length} in all`}
          </Box>
        </Flex>
        <Flex align="baseline" gap="20px" fontSize={{ base: '20px', md: '28px' }}>
          <Box color={time.isLate ? 'sporeText' : 'inkSoft'}>
            {settled.isPaused ? 'paused' : settled.isTalking ? 'talking' : time.word}
          </Box>
          <Box fontSize={{ base: '28px', md: '40px' }} fontWeight={650} whiteSpace="nowrap">
            {time.left}
          </Box>
        </Flex>
      </Flex>
      {stand ? (
        <StandView {...{ stand, present, settled, since, isSilent }} />
      ) : (
        <Box flex="1" px={{ base: '20px', md: '40px' }} pt="24px" fontSize="28px">
          The first one is{' '}
          <Name as="span">{plan.segments[0]?.segment.exercise.name ?? 'nothing'}</Name>.
        </Box>
      )}
    </>
  );
}
