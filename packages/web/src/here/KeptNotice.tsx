import { Box } from '@chakra-ui/react';
import { keptStore } from '@wide-fern/client';
import { clockIn, dayInWords } from '@wide-fern/words';
import { useStore } from 'zustand';
import { useHere } from './session';

/** Without a connection: how old what is shown is, and what becomes of changes. */
export function KeptNotice() {
  const { choir } = useHere();
  const { keptAt } = useStore(keptStore);
  if (keptAt === null) return null;
  const when = `${dayInWords(keptAt, choir.timeZone)}, ${clockIn(choir.timeZone, choir.clock).minute(Date.parse(keptAt))}`;
  return (
    <Box role="status" px={{ base: '16px', md: '24px' }} py="6px" bg="sunk" fontSize="13px">
      The server cannot be reached. What you see was fetched on {when}. Changes to a plan, an
      evening or who is here are kept on this device, and sent when it is back.
    </Box>
  );
}
