import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { momentInWords } from '@wide-fern/words';
import { browsersQuery, call, messageOf, queryClient } from '@wide-fern/client';
import { Said } from '../../../ui/Passage';
import { Failed, Loading } from '../../../ui/states';
import { ownZone } from '../../../ui/zones';
import { WordButton } from '../../../ui/words';
import { SignOutWords } from './SignOutWords';

/** Where one is signed in, each with its way out. */
export function Browsers() {
  const browsers = useQuery(browsersQuery);
  const signOut = useMutation({
    mutationFn: (browser: string) => call('signBrowserOut', { params: { browser } }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: browsersQuery.queryKey }),
  });
  if (browsers.isPending) return <Loading what="your browsers" />;
  if (browsers.isError) {
    return <Failed message={messageOf(browsers.error)} onRetry={() => void browsers.refetch()} />;
  }
  return (
    <>
      <Box as="ul" listStyleType="none">
        {browsers.data.map(({ id, name, lastSeen, here }) => (
          <Flex as="li" key={id} py="6px" gap="16px" borderBottomWidth="1px" wrap="wrap">
            <Box flex="1 1 220px">
              {name}
              <Box color="inkSoft" fontSize="13px">
                {here ? 'this one' : `last seen ${momentInWords(lastSeen, ownZone)}`}
              </Box>
            </Box>
            {here ? (
              <SignOutWords />
            ) : (
              <WordButton
                aria-label={`Sign ${name} out`}
                disabled={signOut.isPending}
                onClick={() => signOut.mutate(id)}
              >
                Sign out
              </WordButton>
            )}
          </Flex>
        ))}
      </Box>
      <Said wrong>{signOut.isError && messageOf(signOut.error)}</Said>
      <Box mt="8px">
        <SignOutWords everywhere />
      </Box>
    </>
  );
}
