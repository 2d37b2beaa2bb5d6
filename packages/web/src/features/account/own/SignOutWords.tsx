import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import {
  call,
  forgetAnswers,
  forgetLarge,
  forgetPersonal,
  messageOf,
  queryClient,
} from '@wide-fern/client';
import { WordButton } from '../../../ui/words';

/** Signs out here, or in every browser. */
export function SignOutWords({ everywhere = false }: { readonly everywhere?: boolean }) {
  const navigate = useNavigate();
  const signOut = useMutation({
    mutationFn: () => call(everywhere ? 'signOutEverywhere' : 'signOut', {}),
    onSuccess: async () => {
      // The page goes first: it still shows what is then forgotten.
      await navigate('/sign-in', { replace: true });
      queryClient.clear();
      forgetPersonal();
      await forgetLarge();
      await forgetAnswers();
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
