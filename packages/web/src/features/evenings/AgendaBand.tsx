import { Box, Flex } from '@chakra-ui/react';
import type { StoreEvening } from '@wide-fern/contract';
import { agendaMinutes, clockAfter, eveningMinutes } from './model/typed';

/** The evening to scale: each item as wide as it is long, what is left over open, what is too much beyond the end. */
export function AgendaBand({ evening }: { readonly evening: StoreEvening }) {
  const length = eveningMinutes(evening);
  const used = agendaMinutes(evening.agenda);
  const whole = Math.max(length, used);
  const share = (minutes: number) => `${(100 * minutes) / whole}%`;
  const from = evening.agenda.map((_, i) => agendaMinutes(evening.agenda.slice(0, i)));
  return (
    <Box role="img" aria-label="The evening to scale" position="relative" pt="16px" mb="12px">
      <Flex h="38px" borderWidth="1px" borderColor="inkSoft" bg="paper" overflow="hidden">
        {evening.agenda.map(({ id, kind, title, minutes }) => (
          <Box
            key={id}
            w={share(minutes)}
            flexShrink={0}
            minW={0}
            px="4px"
            borderRightWidth="1px"
            bg={kind === 'break' || kind === 'notices' || kind === 'arrival' ? 'sunk' : 'sheet'}
            borderBottomWidth={kind === 'warm-up' || kind === 'cool-down' ? '3px' : 0}
            borderBottomColor="fern"
            fontSize="12px"
            lineHeight="15px"
            overflow="hidden"
          >
            <Box truncate>{title}</Box>
            <Box color="inkSoft" truncate>
              {minutes}
            </Box>
          </Box>
        ))}
      </Flex>
      {evening.agenda.map(({ id, minutes }, i) =>
        (minutes / whole) * 1000 > 40 ? (
          <Box
            key={id}
            position="absolute"
            top="0"
            left={share(from[i]!)}
            fontSize="12px"
            color="inkSoft"
            lineHeight="14px"
          >
            {clockAfter(evening.start, from[i]!)}
          </Box>
        ) : null,
      )}
      {used > length && (
        <Box
          position="absolute"
          left={share(length)}
          top="10px"
          h="50px"
          borderLeftWidth="2px"
          borderColor="brick"
          pl="4px"
          fontSize="12px"
          color="brick"
        >
          <Box as="span" position="relative" top="-10px">
            {evening.end}
          </Box>
        </Box>
      )}
    </Box>
  );
}
