import { Box, Flex } from '@chakra-ui/react';
import type { Segment } from '@wide-fern/contract';
import type { Stand } from '@wide-fern/words';
import { lazily } from '../../ui/lazily';
import { Name } from '../../ui/words';
import type { RunState } from '@wide-fern/core';
import { LedByItself } from './LedByItself';

const TurnsList = lazily(() => import('./TurnsList'));

/** What the choir sees on a large screen: what is sung or done, how it breathes, what to think of; nothing else. */
export function ChoirView({
  stand,
  present,
  settled,
  since,
}: {
  readonly stand: Stand | undefined;
  readonly present: Segment | undefined;
  readonly settled: Pick<RunState, 'longer' | 'key'>;
  /** Seconds since what is going on began; below 0 while it is explained. */
  readonly since: () => number;
}) {
  const isBreath = present?.exercise.music.kind === 'breath';
  return (
    <Flex
      flex="1"
      minH={0}
      direction="column"
      align="center"
      justify="center"
      gap={{ base: '16px', md: '32px' }}
      px={{ base: '20px', md: '80px' }}
      textAlign="center"
      overflow="hidden"
    >
      <Name as="h1" fontSize={{ base: '28px', md: '44px' }} color="inkSoft">
        {stand?.name ?? 'We begin in a moment'}
      </Name>
      {present && isBreath && <LedByItself segment={present} {...{ settled, since }} />}
      {stand && !isBreath && (stand.sung || stand.doing) && (
        <Box fontSize={{ base: '36px', md: '76px' }} lineHeight="1.15">
          {stand.sung || stand.doing}
        </Box>
      )}
      {present && !isBreath && <LedByItself segment={present} {...{ settled, since }} />}
      {stand && (
        <Name fontSize={{ base: '24px', md: '44px' }} lineHeight="1.25">
          {stand.isTalk ? stand.purpose : stand.cue}
        </Name>
      )}
      {present && <TurnsList segment={present} size="choir" {...{ settled, since }} />}
      {stand?.caution && (
        <Box fontSize={{ base: '18px', md: '30px' }} color="sporeText">
          {stand.caution}
        </Box>
      )}
    </Flex>
  );
}
