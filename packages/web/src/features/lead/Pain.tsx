import { Box } from '@chakra-ui/react';
import { painWords } from '@wide-fern/words';
import { Name, WordButton } from '../../ui/words';

/** What is said when something hurts: first of all to stop. */
export function Pain({ onGoOn }: { readonly onGoOn: () => void }) {
  return (
    <Box
      role="alert"
      mx={{ base: '20px', md: '40px' }}
      mb="12px"
      p="12px 16px"
      borderWidth="2px"
      borderColor="spore"
      borderRadius="3px"
      bg="sheet"
    >
      <Name fontSize={{ base: '28px', md: '34px' }}>{painWords.first}</Name>
      <Box fontSize={{ base: '18px', md: '24px' }} lineHeight="1.35">
        {painWords.then}
      </Box>
      <WordButton fontSize="20px" minH="44px" onClick={onGoOn}>
        Go on
      </WordButton>
    </Box>
  );
}
