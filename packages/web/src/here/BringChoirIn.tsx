import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { call, messageOf, queryClient, sessionQuery } from '@wide-fern/client';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { Said } from '../ui/Passage';
import { WordButton } from '../ui/words';
import { rememberChoir } from './session';

/** Makes a choir of a file in which one was given out, and goes there. */
export function BringChoirIn() {
  const navigate = useNavigate();
  const file = useRef<HTMLInputElement>(null);
  const bring = useMutation({
    mutationFn: (chosen: File) => call('bringChoirIn', { body: chosen }),
    onSuccess: async ({ choir }) => {
      rememberChoir(choir);
      // The gate asks nobody anew while it knows somebody.
      await queryClient.fetchQuery({ ...sessionQuery, staleTime: 0 });
      await navigate('/', { replace: true });
    },
  });
  return (
    <Box>
      <WordButton disabled={bring.isPending} onClick={() => file.current?.click()}>
        {bring.isPending ? 'bringing it in …' : 'bring a choir in from a file'}
      </WordButton>
      <input
        ref={file}
        type="file"
        accept=".zip,application/zip"
        aria-label="A choir’s file"
        hidden
        onChange={(event) => {
          const [chosen] = event.currentTarget.files ?? [];
          if (chosen) bring.mutate(chosen);
          event.currentTarget.value = '';
        }}
      />
      <Said wrong>{bring.isError && messageOf(bring.error)}</Said>
    </Box>
  );
}
