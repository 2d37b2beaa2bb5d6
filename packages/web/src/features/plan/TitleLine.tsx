import { Box, Flex } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';
import { Label, Name } from '../../ui/words';

/** What does not change while a plan is worked on is not drawn anew with it. */
const WhatIsPlanned = memo(function WhatIsPlanned({
  date,
  place,
  madeFor,
}: {
  readonly date: string;
  readonly place: string;
  readonly madeFor: string;
}) {
  return (
    <>
      <Name as="h1" fontSize="24px">
        {date}
      </Name>
      <Label as="span" fontSize="13px" hideBelow="xl">
        {place}, {madeFor}
      </Label>
    </>
  );
});

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
      <WhatIsPlanned {...{ date, place, madeFor }} />
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
