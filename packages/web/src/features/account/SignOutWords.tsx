import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { ask, messageOf, queryClient } from '@wide-fern/client';
import { WordButton } from '../../ui/words';
import { forgetLists } from '../voices/roster/keptList';

/** Signs out here, or in every browser. */
export function SignOutWords({ everywhere = false }: { readonly everywhere?: boolean }) {
  const navigate = useNavigate();
  const signOut = useMutation({
    mutationFn: () => ask<void>(everywhere ? '/sessions' : '/session', { method: 'DELETE' }),
    onSuccess: async () => {
      // The page goes first: it still shows what is then forgotten.
      await navigate('/sign-in', { replace: true });
      queryClient.clear();
      forgetLists();
    },
  });
  return (
    <>
      <WordButton onClick={() => signOut.mutate()} disabled={signOut.isPending}>
        {everywhere ? 'Sign out everywhere' : 'Sign out'}
      </WordButton>
      {signOut.isError && (
        <Box as="span" role="alert" color="brick" ml="8px">
          {messageOf(signOut.error)}
        </Box>
      )}
    </>
  );
}
