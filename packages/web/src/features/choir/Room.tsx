import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { roomInWords, roomLeftInWords } from '@wide-fern/words';
import { messageOf, roomQuery } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { Failed, Loading } from '../../ui/states';

/** How much the choir keeps, of how much it may. */
export function Room() {
  const { choir } = useHere();
  const room = useQuery(roomQuery(choir.id));
  if (room.isPending) return <Loading what="how much is kept" />;
  if (room.isError) {
    return <Failed message={messageOf(room.error)} onRetry={() => void room.refetch()} />;
  }
  return (
    <Box as="ul" listStyleType="none" columnWidth="220px" columnGap="24px" fontSize="13px">
      {room.data.map((one) => (
        <Box as="li" key={one.of} color={roomLeftInWords(one) ? 'sporeText' : 'inkSoft'}>
          {roomInWords(one)}
        </Box>
      ))}
    </Box>
  );
}
