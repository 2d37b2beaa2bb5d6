import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { WordButton } from '../../../ui/words';

/** What is offered while a warm-up is led: one line, taken by one touch or left. */
export function OfferLine({
  children,
  aside,
  take = 'Take it',
  onTake,
  onLeave,
}: {
  readonly children: ReactNode;
  /** What else is known of it, where there is room. */
  readonly aside?: string;
  readonly take?: string;
  readonly onTake: () => void;
  readonly onLeave: () => void;
}) {
  return (
    <Flex
      role="status"
      align="stretch"
      mx={{ base: '20px', md: '40px' }}
      mb="8px"
      minH="60px"
      borderWidth="1px"
      borderColor="spore"
      borderRadius="3px"
    >
      <Flex
        flex="1"
        px="16px"
        py="6px"
        gap="4px 24px"
        align="center"
        justify="space-between"
        wrap="wrap"
        fontSize={{ base: '17px', md: '24px' }}
        lineHeight="1.25"
      >
        <Box flex="1 1 260px">{children}</Box>
        {aside !== undefined && (
          <Box display={{ base: 'none', md: 'block' }} color="inkSoft">
            {aside}
          </Box>
        )}
        <WordButton fontSize={{ base: '17px', md: '20px' }} minH="44px" onClick={onLeave}>
          Leave it
        </WordButton>
      </Flex>
      <Box
        as="button"
        minW={{ base: '96px', md: '150px' }}
        px="12px"
        bg="spore"
        color="onFern"
        fontWeight={650}
        fontSize={{ base: '18px', md: '26px' }}
        cursor="pointer"
        onClick={onTake}
      >
        {take}
      </Box>
    </Flex>
  );
}
