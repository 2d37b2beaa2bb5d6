import { Box } from '@chakra-ui/react';
import { WordButton } from '../../ui/words';

/** In place of what cannot be fetched: of the shelf, of building. The plan itself goes on. */
export function Away({ onClose }: { readonly onClose: () => void }) {
  return (
    <Box role="alert" px="24px" py="16px">
      This could not be fetched. Your plan is safe; load the page again when the connection is back.{' '}
      <WordButton onClick={onClose}>back to the plan</WordButton>
    </Box>
  );
}
