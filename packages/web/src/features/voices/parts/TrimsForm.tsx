import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { SaveVoices } from '@wide-fern/contract';
import { conditions, singerStates, usualTrims, type Trim, type Trims } from '@wide-fern/core';
import { conditionWords, stateWords } from '@wide-fern/words';
import { useState } from 'react';
import { messageOf, queryClient, voicesQuery, call, eveningsQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Label, Name, WordButton } from '../../../ui/words';
import { Stepper } from '../../../ui/Stepper';

const mostOff = 12;

/** What each condition and state takes off a comfort, in semitones: rules of thumb that a choir can change. */
export function TrimsForm({
  trims: stored,
  mayChange,
}: {
  readonly trims: Trims;
  readonly mayChange: boolean;
}) {
  const { choir } = useHere();
  const [trims, setTrims] = useState(stored);
  const save = useMutation({
    mutationFn: (body: SaveVoices) => call('saveVoices', { params: { choir: choir.id }, body }),
    onSuccess: async (saved) => {
      queryClient.setQueryData(voicesQuery(choir.id).queryKey, saved);
      await queryClient.invalidateQueries({ queryKey: eveningsQuery(choir.id).queryKey });
    },
  });
  const row = (words: string, trim: Trim, onChange: (trim: Trim) => void) => (
    <Flex key={words} gap="24px" wrap="wrap" align="center" py="4px" borderBottomWidth="1px">
      <Box w="220px">{words.charAt(0).toUpperCase() + words.slice(1)}</Box>
      {(['top', 'bottom'] as const).map((end) => (
        <Stepper
          key={end}
          label={`off the ${end}`}
          name={`${words}, off the ${end}`}
          labelWidth="92px"
          value={trim[end]}
          limits={[0, mostOff]}
          disabled={!mayChange}
          onChange={(value) => onChange({ ...trim, [end]: Math.round(value) })}
        />
      ))}
    </Flex>
  );
  return (
    <Box mt="40px">
      <Name as="h2" fontSize="24px">
        What conditions take off a range
      </Name>
      <Box my="8px" maxW="68ch">
        In semitones, at each end the larger of the choir’s and the singer’s; a range checked on the
        same day stays as it was found. Rules of thumb to plan by, not a finding about a voice.
      </Box>
      <Label mt="12px">How the choir comes</Label>
      {conditions.map((condition) =>
        row(conditionWords[condition], trims.conditions[condition], (trim) =>
          setTrims({ ...trims, conditions: { ...trims.conditions, [condition]: trim } }),
        ),
      )}
      <Label mt="12px">How a single singer is</Label>
      {singerStates.map((state) =>
        row(stateWords[state], trims.states[state], (trim) =>
          setTrims({ ...trims, states: { ...trims.states, [state]: trim } }),
        ),
      )}
      {save.isError && (
        <Box role="alert" color="brick" my="8px">
          {messageOf(save.error)}
        </Box>
      )}
      {mayChange && (
        <Flex gap="16px" align="center" mt="12px">
          <MainButton disabled={save.isPending} onClick={() => save.mutate({ trims })}>
            Keep these figures
          </MainButton>
          <WordButton onClick={() => setTrims(usualTrims)}>the usual figures</WordButton>
          {save.isSuccess && (
            <Box role="status" color="inkSoft">
              Kept.
            </Box>
          )}
        </Flex>
      )}
    </Box>
  );
}
