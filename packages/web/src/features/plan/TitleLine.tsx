import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Label, Name } from '../../ui/words';

/** Date and place, and whether the warm-up holds: its length, its end, its chance. */
export function TitleLine({
  date,
  place,
  madeFor,
  figure,
  tooLong,
  sentence,
  children,
}: {
  readonly date: string;
  readonly place: string;
  /** Whose comfort the keys rest on. */
  readonly madeFor: string;
  readonly figure: string;
  readonly tooLong: boolean;
  readonly sentence: string;
  readonly children: ReactNode;
}) {
  return (
    <Flex
      minH="48px"
      align="center"
      px={{ base: '16px', md: '24px' }}
      py={{ base: '8px', md: 0 }}
      columnGap="16px"
      rowGap="2px"
      wrap="wrap"
    >
      <Name as="h1" fontSize="24px">
        {date}
      </Name>
      <Label as="span" fontSize="13px" hideBelow="xl">
        {place}, {madeFor}
      </Label>
      <Flex
        ml={{ base: 0, lg: 'auto' }}
        align="baseline"
        columnGap="10px"
        wrap="wrap"
        role="status"
        aria-label="Length"
      >
        <Box fontSize="18px" fontWeight={700} color={tooLong ? 'brick' : 'ink'}>
          {figure}
        </Box>
        <Label as="span">{sentence}</Label>
      </Flex>
      <Flex columnGap="16px" wrap="wrap" align="center" ml={{ base: 0, md: 'auto', lg: 0 }}>
        {children}
      </Flex>
    </Flex>
  );
}
