import { Box } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answersQuery, messageOf } from '@wide-fern/client';
import { dropAnswers } from '@wide-fern/client/answers';
import { saidOf } from '@wide-fern/words';
import { WordRow } from '../ui/WordList';
import { WordButton } from '../ui/words';
import { useHere } from './session';

/** What singers said of an exercise from home, without who it was; nothing where nobody did. */
export default function SingersSaid({
  exercise,
  width,
}: {
  readonly exercise: string;
  /** How wide the labels are where it stands. */
  readonly width?: string;
}) {
  const { choir, mayEdit } = useHere();
  const answers = useQuery({ ...answersQuery(choir.id), enabled: mayEdit });
  const drop = useMutation({ mutationFn: (ids: readonly string[]) => dropAnswers(choir.id, ids) });
  const said = saidOf(exercise, answers.data ?? []);
  if (!said) return null;
  return (
    <WordRow {...(width ? { width } : {})} label="Singers">
      <Box as="span" color={said.hurt ? 'sporeText' : undefined}>
        {said.words}
      </Box>{' '}
      <WordButton fontSize="13px" disabled={drop.isPending} onClick={() => drop.mutate(said.ids)}>
        throw this away
      </WordButton>
      {drop.error && (
        <Box role="alert" color="brick">
          {messageOf(drop.error)}
        </Box>
      )}
    </WordRow>
  );
}
