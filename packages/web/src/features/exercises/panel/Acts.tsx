import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { useMarking } from '../../../here/marking';
import { useHere } from '../../../here/session';
import { WordButton, WordLink } from '../../../ui/words';
import { useThrowingAway } from '../model/changes';
import type { Listed } from '../model/listed';

/** What can be done with an exercise as a whole. */
export function Acts({ listed }: { readonly listed: Listed }) {
  const { choir, mayEdit } = useHere();
  const { exercise, mark, own } = listed;
  const marking = useMarking(choir.id, exercise.id);
  const throwing = useThrowingAway(choir.id);
  const navigate = useNavigate();
  const [asked, setAsked] = useState(false);
  if (!mayEdit) return null;
  const failed = marking.error ?? throwing.error;
  return (
    <Box mt="6px" mb="4px">
      <Flex gap="16px" wrap="wrap" fontSize="13px">
        <WordButton
          fontSize="13px"
          aria-pressed={mark.favourite}
          onClick={() => marking.mutate({ ...mark, favourite: !mark.favourite })}
        >
          {mark.favourite ? 'a favourite; take that back' : 'make it a favourite'}
        </WordButton>
        <WordButton
          fontSize="13px"
          aria-pressed={mark.hidden}
          onClick={() => marking.mutate({ ...mark, hidden: !mark.hidden })}
        >
          {mark.hidden ? 'hidden; show it again' : 'hide it'}
        </WordButton>
        <WordLink to={`/exercises/make/${exercise.id}`}>
          {own ? 'change it' : 'copy and change it'}
        </WordLink>
        {own && !asked && (
          <WordButton fontSize="13px" color="brick" onClick={() => setAsked(true)}>
            throw it away
          </WordButton>
        )}
      </Flex>
      {asked && (
        <Flex role="alert" gap="12px" mt="6px" fontSize="13px" wrap="wrap">
          <Box>
            Throw “{exercise.name}” away? Warm-ups that have it keep it, and the next page can bring
            it back.
          </Box>
          <WordButton
            fontSize="13px"
            color="brick"
            onClick={() =>
              throwing.mutate(
                { exercise, away: true },
                { onSuccess: () => void navigate('/exercises', { state: { away: exercise } }) },
              )
            }
          >
            throw it away
          </WordButton>
          <WordButton fontSize="13px" onClick={() => setAsked(false)}>
            keep it
          </WordButton>
        </Flex>
      )}
      {failed && (
        <Box role="alert" color="brick" fontSize="13px" mt="4px">
          {messageOf(failed)}
        </Box>
      )}
    </Box>
  );
}
