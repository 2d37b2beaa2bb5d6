import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { dayInWords } from '@wide-fern/words';
import { useState } from 'react';
import { call, messageOf } from '@wide-fern/client';
import { Said } from '../../../ui/Passage';
import { ownZone } from '../../../ui/zones';
import { Label, WordButton } from '../../../ui/words';
import { useSessionSaid } from './NameAndEmail';
import { PasswordForm } from './PasswordForm';

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
        <PasswordForm
          word="Throw my account away in 14 days"
          send={(body) => call('closeAccount', { body })}
          onDone={take}
        />
      ) : (
        <WordButton mt="4px" onClick={() => setWanted(true)}>
          throw my account away
        </WordButton>
      )}
    </Box>
  );
}
