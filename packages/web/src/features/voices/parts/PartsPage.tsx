import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { messageOf, voicesQuery } from '@wide-fern/client';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { Failed, Loading } from '../../../ui/states';
import { Name, WordLink } from '../../../ui/words';
import { PartsForm } from './PartsForm';
import { TrimsForm } from './TrimsForm';

/** The choir's own list of parts, and what conditions take off a range. */
export default function PartsPage() {
  const { choir } = useHere();
  const voices = useQuery(voicesQuery(choir.id));
  const mayChange = choir.role === 'director';
  return (
    <Frame place="Voices">
      {voices.isError && (
        <Failed message={messageOf(voices.error)} onRetry={() => void voices.refetch()} />
      )}
      {voices.isPending && <Loading what="the parts" />}
      {voices.data && (
        <Box px={{ base: '16px', md: '40px' }} pt="16px" pb="40px" maxW="1000px">
          <Name as="h1" fontSize="24px">
            The choir’s parts
          </Name>
          <WordLink to="/voices">back to the sections</WordLink>
          <PartsForm
            key={JSON.stringify(voices.data.parts)}
            parts={voices.data.parts}
            mayChange={mayChange}
          />
          <TrimsForm
            key={JSON.stringify(voices.data.trims)}
            trims={voices.data.trims}
            mayChange={mayChange}
          />
        </Box>
      )}
    </Frame>
  );
}
