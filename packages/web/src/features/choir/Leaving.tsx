import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { closeChoirSchema } from '@wide-fern/contract';
import { dayInWords } from '@wide-fern/words';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call, messageOf, queryClient, sessionQuery } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { useSentForm } from '../../ui/useSentForm';
import { Label, WordButton } from '../../ui/words';
import { useChoirSaid } from '../../here/useChoirSaid';

/** Leaves the choir, once it was asked: only a new invitation leads back. */
export function LeaveChoir() {
  const { choir } = useHere();
  const navigate = useNavigate();
  const [asked, setAsked] = useState(false);
  const leave = useMutation({
    mutationFn: () => call('leaveChoir', { params: { choir: choir.id } }),
    onSuccess: async (session) => {
      queryClient.clear();
      queryClient.setQueryData(sessionQuery.queryKey, session);
      await navigate('/', { replace: true });
    },
  });
  return (
    <Box>
      <Label>You see nothing of it any more then; a director can invite you again.</Label>
      {asked ? (
        <Flex gap="12px" mt="4px" role="group" aria-label={`Leave ${choir.name}?`}>
          <WordButton
            color="brick"
            autoFocus
            disabled={leave.isPending}
            onClick={() => leave.mutate()}
          >
            yes, leave {choir.name}
          </WordButton>
          <WordButton onClick={() => setAsked(false)}>no</WordButton>
        </Flex>
      ) : (
        <WordButton mt="4px" onClick={() => setAsked(true)}>
          leave this choir
        </WordButton>
      )}
      <Said wrong>{leave.isError && messageOf(leave.error)}</Said>
    </Box>
  );
}

function TypeName() {
  const { choir } = useHere();
  const take = useChoirSaid();
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: closeChoirSchema,
    fields: ['name'],
    send: (body) => call('closeChoir', { params: { choir: choir.id }, body }),
    onDone: take,
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px" maxW="320px" mt="8px">
        <FormField
          label={`Type its name, ${choir.name}`}
          size="sm"
          autoComplete="off"
          error={errorOf('name')}
          {...form.register('name')}
        />
        <QuietButton type="submit" size="sm" disabled={isSending}>
          Throw the choir away in 14 days
        </QuietButton>
        <Said wrong>{problem}</Said>
      </Box>
    </form>
  );
}

/** The end of a choir, with two weeks to think again. */
export function CloseChoir() {
  const { choir } = useHere();
  const [wanted, setWanted] = useState(false);
  if (choir.closesAt) return <ClosingNotice />;
  return (
    <Box mt="16px">
      <Label>
        The choir goes for everybody, with its singers, pieces, evenings, plans and exercises. For
        14 days any director can still keep it.
      </Label>
      {wanted ? (
        <TypeName />
      ) : (
        <WordButton mt="4px" onClick={() => setWanted(true)}>
          throw this choir away
        </WordButton>
      )}
    </Box>
  );
}

/** When the choir is thrown away, and the way to keep it. */
function ClosingNotice() {
  const { choir } = useHere();
  const take = useChoirSaid();
  const keep = useMutation({
    mutationFn: () => call('keepChoir', { params: { choir: choir.id } }),
    onSuccess: take,
  });
  if (!choir.closesAt) return null;
  return (
    <Box mt="16px">
      This choir is thrown away on {dayInWords(choir.closesAt, choir.timeZone)}.{' '}
      <WordButton disabled={keep.isPending} onClick={() => keep.mutate()}>
        Keep it
      </WordButton>
      <Said wrong>{keep.isError && messageOf(keep.error)}</Said>
    </Box>
  );
}
