import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { withPasswordSchema } from '@wide-fern/contract';
import { dayInWords } from '@wide-fern/words';
import { useState } from 'react';
import { call, messageOf } from '@wide-fern/client';
import { FormField } from '../../../ui/FormField';
import { QuietButton } from '../../../ui/MainButton';
import { Said } from '../../../ui/Passage';
import { useSentForm } from '../../../ui/useSentForm';
import { ownZone } from '../../../ui/zones';
import { Label, WordButton } from '../../../ui/words';
import { useSessionSaid } from './NameAndEmail';

function Sure() {
  const take = useSessionSaid();
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: withPasswordSchema,
    fields: ['password'],
    send: (body) => call('closeAccount', { body }),
    onDone: take,
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px" maxW="320px" mt="8px">
        <FormField
          label="Present password"
          type="password"
          size="sm"
          autoComplete="current-password"
          error={errorOf('password')}
          {...form.register('password')}
        />
        <QuietButton type="submit" size="sm" disabled={isSending}>
          Throw my account away in 14 days
        </QuietButton>
        <Said wrong>{problem}</Said>
      </Box>
    </form>
  );
}

/** The end of an account, with two weeks to think again. */
export function CloseAccount({ closesAt }: { readonly closesAt: string | null }) {
  const take = useSessionSaid();
  const [wanted, setWanted] = useState(false);
  const keep = useMutation({ mutationFn: () => call('keepAccount', {}), onSuccess: take });
  if (closesAt) {
    return (
      <Box>
        Your account is thrown away on {dayInWords(closesAt, ownZone)}, with the choirs nobody else
        is in.{' '}
        <WordButton disabled={keep.isPending} onClick={() => keep.mutate()}>
          Keep it
        </WordButton>
        <Said wrong>{keep.isError && messageOf(keep.error)}</Said>
      </Box>
    );
  }
  return (
    <Box maxW="68ch">
      <Label>
        Your account goes with everything that is yours, and the choirs nobody else is in with all
        their singers, pieces and plans. For 14 days you can still keep it.
      </Label>
      {wanted ? (
        <Sure />
      ) : (
        <WordButton mt="4px" onClick={() => setWanted(true)}>
          throw my account away
        </WordButton>
      )}
    </Box>
  );
}
