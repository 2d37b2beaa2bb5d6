import { Box, Flex } from '@chakra-ui/react';
import type { Exercise } from '@wide-fern/contract';
import { useLocation, useNavigate } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { WordButton } from '../../ui/words';
import { useThrowingAway } from './model/changes';

/** Right after an exercise was thrown away: that it was, and the way back. */
export function ThrownAway() {
  const { choir } = useHere();
  const navigate = useNavigate();
  const away = (useLocation().state as { away?: Exercise } | null)?.away;
  const throwing = useThrowingAway(choir.id);
  if (!away) return null;
  const bringBack = () =>
    throwing.mutate(
      { exercise: away, away: false },
      { onSuccess: () => void navigate(`/exercises/${away.id}`, { replace: true }) },
    );
  return (
    <Flex role="status" gap="12px" fontSize="13px" mb="6px" wrap="wrap">
      <Box>“{away.name}” is thrown away.</Box>
      <WordButton fontSize="13px" disabled={throwing.isPending} onClick={bringBack}>
        bring it back
      </WordButton>
      {throwing.error && (
        <Box role="alert" color="brick">
          {messageOf(throwing.error)}
        </Box>
      )}
    </Flex>
  );
}
