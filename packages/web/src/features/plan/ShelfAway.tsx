import { Box } from '@chakra-ui/react';
import { WordButton } from '../../ui/words';

/** In place of the shelf when it cannot be fetched; the plan itself goes on. */
export function ShelfAway({ onClose }: { readonly onClose: () => void }) {
  return (
    <Box role="alert" px="24px" py="16px">
      The shelf could not be fetched. Your plan is safe; load the page again when the connection is
      back. <WordButton onClick={onClose}>back to the bench</WordButton>
    </Box>
  );
}
