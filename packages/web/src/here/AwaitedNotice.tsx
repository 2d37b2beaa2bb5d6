import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { awaitedQuery } from '@wide-fern/client';
import { dateInWords } from '@wide-fern/words';
import { WordLink } from '../ui/words';
import { useHere } from './session';

/** Says which runs wait for a card of one's own; nothing while none does. */
export function AwaitedNotice() {
  const { choir } = useHere();
  const { data = [] } = useQuery({ ...awaitedQuery(choir.id), retry: false });
  if (data.length === 0) return null;
  return (
    <Box role="status" px={{ base: '16px', md: '24px' }} py="6px" bg="sheet" fontSize="13px">
      Your card is awaited:{' '}
      {data.map(({ piece, title, judgedOn }, i) => (
        <span key={piece}>
          {i > 0 && ', '}
          <WordLink to={`/pieces/${piece}`}>{title}</WordLink>, sung on {dateInWords(judgedOn)}
        </span>
      ))}
      .
    </Box>
  );
}
