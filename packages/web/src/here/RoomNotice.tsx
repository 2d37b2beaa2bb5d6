import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { KeptKind } from '@wide-fern/contract';
import { roomLeftInWords } from '@wide-fern/words';
import { roomQuery } from '@wide-fern/client';
import { useHere } from './session';

/** What is added in each place of the application. */
const addedIn: Readonly<Record<string, readonly KeptKind[]>> = {
  Tonight: ['evenings', 'templates'],
  Voices: ['singers', 'checks'],
  Pieces: ['files', 'pieces', 'marks', 'judgements', 'judgings', 'recordings'],
  Exercises: ['exercises'],
};

/** Says, where things are added, that there is little room left for them; nothing while there is enough. */
export function RoomNotice({ place }: { readonly place: string }) {
  const { choir, mayEdit } = useHere();
  const of = addedIn[place] ?? [];
  const { data } = useQuery({ ...roomQuery(choir.id), enabled: mayEdit, retry: false });
  const said = (data ?? [])
    .filter((one) => of.includes(one.of))
    .flatMap((one) => roomLeftInWords(one) ?? []);
  if (said.length === 0) return null;
  return (
    <Box
      role="status"
      px={{ base: '16px', md: '24px' }}
      py="6px"
      bg="sheet"
      color="sporeText"
      fontSize="13px"
    >
      {said.join(' ')}
    </Box>
  );
}
