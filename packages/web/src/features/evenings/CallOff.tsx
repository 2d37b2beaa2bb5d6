import { Box, Flex } from '@chakra-ui/react';
import { call, eveningQuery, eveningsQuery, messageOf, queryClient } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useHere } from '../../here/session';
import { WordButton } from '../../ui/words';

/** Calls the evening off for good, once that was asked. */
export default function CallOff({
  evening,
  onGone,
}: {
  readonly evening: Evening;
  readonly onGone: () => void;
}) {
  const { choir } = useHere();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const callOff = async () => {
    try {
      await call('removeEvening', { params: { choir: choir.id, evening: evening.id } });
      onGone();
      queryClient.removeQueries({ queryKey: eveningQuery(choir.id, evening.id).queryKey });
      await navigate('/');
      await queryClient.invalidateQueries({ queryKey: eveningsQuery(choir.id).queryKey });
    } catch (error) {
      setTrouble(messageOf(error));
    }
  };
  return (
    <Box mt="16px" fontSize="13px">
      {asking ? (
        <Box role="group" aria-label="Call the evening off">
          The evening and its plans go and cannot be brought back.
          <Flex gap="14px" mt="4px">
            <WordButton fontSize="13px" color="brick" onClick={() => void callOff()}>
              call it off for good
            </WordButton>
            <WordButton fontSize="13px" onClick={() => setAsking(false)}>
              keep it
            </WordButton>
          </Flex>
        </Box>
      ) : (
        <WordButton fontSize="13px" onClick={() => setAsking(true)}>
          call the evening off
        </WordButton>
      )}
      {trouble && (
        <Box role="alert" color="brick" mt="6px">
          {trouble}
        </Box>
      )}
    </Box>
  );
}
