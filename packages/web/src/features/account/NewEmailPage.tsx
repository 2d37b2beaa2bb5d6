import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useLocation } from 'react-router';
import { call, messageOf, queryClient, sessionQuery } from '@wide-fern/client';
import { MainButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { WordLink } from '../../ui/words';
import { AccountFrame } from './AccountFrame';
import { secretOf } from '../../ui/secretOf';

/** Where the link in a mail to a new e-mail leads. Pressed by a person: programs that look at mails open links too. */
export default function NewEmailPage() {
  const { hash } = useLocation();
  const confirm = useMutation({
    mutationFn: () => call('confirmEmail', { body: { secret: secretOf(hash) } }),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: sessionQuery.queryKey }),
  });
  return (
    <AccountFrame title="Your new e-mail">
      {confirm.isSuccess ? (
        <Box role="status">
          From now on you sign in with it. <WordLink to="/">Go to Tonight</WordLink>
        </Box>
      ) : (
        <Box display="grid" gap="12px">
          <MainButton disabled={confirm.isPending} onClick={() => confirm.mutate()}>
            This e-mail is mine: use it
          </MainButton>
          <Said wrong>
            {confirm.isError && `${messageOf(confirm.error)} Ask for the change once more.`}
          </Said>
        </Box>
      )}
    </AccountFrame>
  );
}
