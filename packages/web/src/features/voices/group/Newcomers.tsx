import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { call, choirQuery, messageOf, queryClient } from '@wide-fern/client';
import type { SingerFields } from '@wide-fern/contract';
import { rosterLengths } from '@wide-fern/core';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { QuietButton } from '../../../ui/MainButton';
import { Label } from '../../../ui/words';

const undecided = (name: string): SingerFields => ({
  ...{ name, part: null, also: [], comfort: null, reach: null, lightTop: null, changes: [] },
  ...{ states: [], onLeave: false, notes: '' },
});

/** Names that are not on the roster yet, one in a line; they are added without a part. */
export function Newcomers() {
  const { choir } = useHere();
  const [text, setText] = useState('');
  const names = text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const long = names.find((name) => name.length > rosterLengths.name);
  const add = useMutation({
    mutationFn: () =>
      call('storeSingers', {
        params: { choir: choir.id },
        body: { add: names.map(undecided), change: [] },
      }),
    onSuccess: async () => {
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
      setText('');
    },
  });
  const wrong = long
    ? `A name has at most ${rosterLengths.name} characters: “${long.slice(0, 24)} …”.`
    : add.isError
      ? messageOf(add.error)
      : undefined;
  return (
    <Box flex="1 1 260px" maxW="360px">
      <Box asChild display="block">
        <label>
          <Label as="span">Here for the first time: names, one in a line</Label>
          <Box asChild w="100%" mt="4px" p="8px" bg="sheet" borderWidth="1px" borderColor="inkSoft">
            <textarea
              rows={6}
              value={text}
              onChange={(event) => setText(event.currentTarget.value)}
            />
          </Box>
        </label>
      </Box>
      <QuietButton
        size="sm"
        mt="8px"
        disabled={names.length === 0 || long !== undefined || add.isPending}
        onClick={() => add.mutate()}
      >
        Add them, parts not decided
      </QuietButton>
      {wrong && (
        <Box role="alert" color="brick" fontSize="13px" mt="8px">
          {wrong}
        </Box>
      )}
    </Box>
  );
}
