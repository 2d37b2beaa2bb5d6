import { Box } from '@chakra-ui/react';
import { WordButton } from '../../ui/words';

/** In place of building when it cannot be fetched; the plan itself goes on. */
export function BuildAway({ onLeave }: { readonly onLeave: () => void }) {
  return (
    <Box role="alert" px="24px" py="16px">
      What builds warm-ups could not be fetched. Your plan is safe; load the page again when the
      connection is back. <WordButton onClick={onLeave}>back to the plan</WordButton>
    </Box>
  );
}
